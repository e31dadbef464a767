<?php

declare(strict_types=1);

namespace App\Orders\Sheet\Data;

use App\Http\Api\ListOf;
use App\Orders\Sheet\OrderHead;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Structure\LineField;

/** One line that a sheet changes, or what its head says of the order. */
#[OA\Schema]
final readonly class SheetChange
{
    /** @param  list<string>  $fields  "quantity 2 → 3" */
    private function __construct(
        #[OA\Property] public string $item,
        #[
            OA\Property(
                description: '"engineering", "manufacturing:Weir"; "order": what the head says of the order, which stands for the item',
            ),
        ]
        public string $work,
        #[OA\Property(enum: ['added', 'removed', 'replaced', 'changed', 'renumbered', 'unchanged'])] public string $mark,
        #[OA\Property] public int $find,
        #[OA\Property] public string $component,
        #[ListOf('string')] public array $fields,
    ) {}

    public static function of(string $subject, Difference $difference): self
    {
        [$item, $work] = explode(' ', $subject, 2);
        [$before, $after] = [$difference->before, $difference->after];

        return new self(
            item: $item,
            work: $work,
            mark: $difference->kind->value,
            find: $difference->find,
            component: ($after ?? $before)->component ?? '',
            fields: $before === null || $after === null
                ? []
                : array_map(
                    static fn(LineField $field): string => trim(
                        "{$field->inWords()} " . ($before->text($field) ?: 'none') . ' → ' . ($after->text($field) ?: 'none'),
                    ),
                    $difference->fields,
                ),
        );
    }

    public static function ofHead(string $order, string $name, string $was, string $now): self
    {
        return new self(
            item: $order,
            work: OrderHead::ORDER,
            mark: DifferenceKind::Changed->value,
            find: 0,
            component: '',
            fields: ["{$name} " . ($was ?: 'none') . ' → ' . ($now ?: 'none')],
        );
    }
}
