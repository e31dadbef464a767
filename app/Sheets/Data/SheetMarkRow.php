<?php

declare(strict_types=1);

namespace App\Sheets\Data;

use App\Sheets\Models\SheetMark;
use OpenApi\Attributes as OA;

/** A mark of change on a sheet. */
#[OA\Schema]
final readonly class SheetMarkRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $page,
        #[OA\Property(description: 'share of the width of the page')] public float $left,
        #[OA\Property(description: 'share of its height')] public float $top,
        #[OA\Property(description: 'as ISO 5457 names it')] public string $zone,
        #[OA\Property] public string $note,
        #[OA\Property] public string $set_by,
        #[OA\Property] public string $set_at,
    ) {}

    public static function of(SheetMark $mark): self
    {
        return new self(
            id: $mark->id,
            page: $mark->page,
            left: $mark->left,
            top: $mark->top,
            zone: $mark->zone,
            note: $mark->note,
            set_by: $mark->person->name,
            set_at: $mark->set_at->toIso8601String(),
        );
    }
}
