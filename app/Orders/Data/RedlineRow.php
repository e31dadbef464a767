<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use App\Orders\Models\EditRecord;
use App\Structures\Data\ItemRow;
use App\Structures\Data\LineRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Structure\LineField;

/** One line before and after, with its mark. */
#[OA\Schema]
final readonly class RedlineRow
{
    /** @param  list<string>  $fields that differ */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property(enum: ['added', 'removed', 'replaced', 'changed', 'renumbered', 'unchanged'])] public string $mark,
        #[OA\Property(ref: LineRow::class, nullable: true)] public ?LineRow $before,
        #[OA\Property(ref: LineRow::class, nullable: true)] public ?LineRow $after,
        #[ListOf('string')] public array $fields,
        #[OA\Property(ref: ItemRow::class, nullable: true)] public ?ItemRow $was_item,
        #[OA\Property(ref: ItemRow::class, nullable: true)] public ?ItemRow $item,
        #[OA\Property(description: 'who edited it last')] public ?string $edited_by,
        #[OA\Property] public ?string $edited_at,
        #[OA\Property(description: 'number of the task under which it was edited last')] public ?string $task,
    ) {}

    /**
     * @param  array<ItemRow>  $items  components by number
     * @param  array<EditRecord>  $edits  the last of each line, by its key
     */
    public static function of(Difference $difference, array $items, array $edits): self
    {
        $before = $difference->before;
        $after = $difference->after;
        $key = $before->key ?? ($after->key ?? '');
        $last = $edits[$key] ?? null;

        return new self(
            key: $key,
            mark: $difference->kind->value,
            before: $before === null ? null : LineRow::of($before),
            after: $after === null ? null : LineRow::of($after),
            fields: array_map(static fn(LineField $field): string => $field->value, $difference->fields),
            was_item: $before === null ? null : $items[$before->component],
            item: $after === null ? null : $items[$after->component],
            edited_by: $last?->author->name,
            edited_at: $last?->made_at->toIso8601String(),
            task: $last?->task?->number,
        );
    }
}
