<?php

declare(strict_types=1);

namespace App\Sheets\Data;

use App\Http\Api\ListOf;
use App\Structures\Models\Item;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Sheet\PartsListCheck;
use Orthotaxis\Core\Sheet\SheetFinding;

/** The parts list and balloons of a sheet held against the structure of an item. */
#[OA\Schema]
final readonly class CheckedSheet
{
    /** @param  list<SheetFindingRow>  $findings */
    private function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $revision,
        #[OA\Property(description: 'rows of a parts list that were found')] public int $rows,
        #[OA\Property(description: 'balloons that were found')] public int $balloons,
        #[ListOf(SheetFindingRow::class)] public array $findings,
    ) {}

    public static function of(Item $item, string $revision, PartsListCheck $check): self
    {
        return new self(
            item: $item->number,
            title: $item->title,
            revision: $revision,
            rows: $check->rows,
            balloons: $check->balloons,
            findings: array_map(static fn(SheetFinding $one): SheetFindingRow => SheetFindingRow::of($one), $check->findings),
        );
    }
}
