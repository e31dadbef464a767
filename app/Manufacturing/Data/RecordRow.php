<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Manufacturing\OnRecord;

/** What is on record about an engineering line: so much of another item in its place, or nothing. */
#[OA\Schema]
final readonly class RecordRow
{
    private function __construct(
        #[OA\Property(description: 'the item in its place; null: the line is left out')] public ?string $by,
        #[OA\Property(description: 'so much of that')] public string $new,
        #[OA\Property] public ?string $unit,
        #[OA\Property(description: 'for so much of the engineering line, in the unit of that')] public string $old,
        #[OA\Property] public string $reason,
    ) {}

    public static function of(OnRecord $record): self
    {
        return new self($record->by, (string) $record->new, $record->unit?->value, old: (string) $record->old, reason: $record->reason);
    }
}
