<?php

declare(strict_types=1);

namespace App\Sheets\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Sheet\FindingKind;
use Orthotaxis\Core\Sheet\SheetFinding;

/** One thing in which a sheet does not agree with the structure. */
#[OA\Schema]
final readonly class SheetFindingRow
{
    private function __construct(
        #[OA\Property(enum: FindingKind::class)] public string $kind,
        #[OA\Property] public string $find,
        #[OA\Property(description: 'empty: of a balloon that no line has')] public string $item,
        #[OA\Property(description: 'what the sheet says; empty: nothing')] public string $sheet,
        #[OA\Property(description: 'what the structure says; empty: nothing')] public string $structure,
    ) {}

    public static function of(SheetFinding $one): self
    {
        return new self($one->kind->value, $one->find, $one->item, $one->sheet, $one->structure);
    }
}
