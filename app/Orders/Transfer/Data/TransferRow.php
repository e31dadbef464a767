<?php

declare(strict_types=1);

namespace App\Orders\Transfer\Data;

use App\Orders\Transfer\Way;
use App\Structures\Data\LineRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Transfer\Carried;
use Orthotaxis\Core\Transfer\Fit;

/** One edit, as it would be in one sibling. */
#[OA\Schema]
final readonly class TransferRow
{
    private function __construct(
        #[OA\Property(description: 'by which it is decided about')] public string $key,
        #[OA\Property(description: 'item and structure: "200-0010 engineering"')] public string $source,
        #[OA\Property] public string $target,
        #[OA\Property(enum: ['added', 'removed', 'replaced', 'changed', 'renumbered', 'unchanged'])] public string $mark,
        #[OA\Property(ref: LineRow::class, nullable: true)] public ?LineRow $before,
        #[OA\Property(ref: LineRow::class, nullable: true)] public ?LineRow $after,
        #[OA\Property(ref: LineRow::class, nullable: true, description: 'the line of the sibling as it is')] public ?LineRow $there,
        #[OA\Property(description: 'what would be set there, in words')] public string $does,
        #[OA\Property(enum: Fit::class)] public string $fit,
        #[OA\Property] public string $reason,
    ) {}

    public static function of(Way $way, Carried $one): self
    {
        $line = static fn($of): ?LineRow => $of === null ? null : LineRow::of($of);
        $fields = [];
        foreach ($one->edit?->fields() ?? [] as $field => $text) {
            $fields[] = LineField::from($field)->inWords() . ' ' . ($text === '' ? 'emptied' : $text);
        }

        return new self(
            key: "{$way->key()} {$one->key()}",
            source: $way->source->key(),
            target: $way->target->key(),
            mark: $one->of->kind->value,
            before: $line($one->of->before),
            after: $line($one->of->after),
            there: $line($one->there),
            does: $one->edit === null ? '' : ($fields === [] ? 'line removed' : implode(', ', $fields)),
            fit: $one->fit->value,
            reason: $one->reason,
        );
    }
}
