<?php

declare(strict_types=1);

namespace App\Orders\Worksheet\Data;

use App\Http\Api\ListOf;
use App\Orders\Models\EditRecord;
use App\Structures\Data\LineRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Structure\LineField;

/** One line of the worksheet. There may be tens of thousands: what is the same before and after is told once. */
#[OA\Schema]
final readonly class WorksheetRow
{
    /** @param  list<string>  $fields  that differ */
    private function __construct(
        #[OA\Property(description: 'place in the list of subjects')] public int $subject,
        #[OA\Property(enum: ['added', 'removed', 'replaced', 'changed', 'renumbered', 'unchanged'])] public string $mark,
        #[OA\Property(description: 'as it is to be; as it was where it is removed')] public LineRow $line,
        #[OA\Property(description: 'as it was, where that is another', nullable: true)] public ?LineRow $before,
        #[ListOf('string')] public array $fields,
        #[OA\Property] public ?string $edited_by,
        #[OA\Property] public ?string $edited_at,
        #[OA\Property(description: 'number of the task under which it was edited last')] public ?string $task,
    ) {}

    public static function of(int $subject, Difference $difference, ?EditRecord $last): self
    {
        $line = $difference->after ?? ($difference->before ?? throw new \LogicException('A difference is of a line.'));
        $isSame = $difference->kind === DifferenceKind::Unchanged || $difference->after === null;

        return new self(
            subject: $subject,
            mark: $difference->kind->value,
            line: LineRow::of($line),
            before: $isSame || $difference->before === null ? null : LineRow::of($difference->before),
            fields: array_map(static fn(LineField $field): string => $field->value, $difference->fields),
            edited_by: $last?->author->name,
            edited_at: $last?->made_at->toIso8601String(),
            task: $last?->task?->number,
        );
    }
}
