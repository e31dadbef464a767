<?php

declare(strict_types=1);

namespace App\Sheets\Data;

use App\Documents\Data\FileRow;
use App\Documents\Models\ItemFile;
use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Sheet\SheetComparison;
use Orthotaxis\Core\Sheet\SheetSize;

/** A page of two sheets, and where they differ on it. */
#[OA\Schema]
final readonly class ComparedSheets
{
    /** @param  list<SheetPlaceRow>  $places */
    private function __construct(
        #[OA\Property] public FileRow $before,
        #[OA\Property] public FileRow $after,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages_before,
        #[OA\Property] public int $pages_after,
        #[OA\Property(description: 'millimetres of the page; null: the old sheet has none')] public ?float $width_before,
        #[OA\Property] public ?float $height_before,
        #[OA\Property(description: 'millimetres of the page; null: the new sheet has none')] public ?float $width_after,
        #[OA\Property] public ?float $height_after,
        #[OA\Property(description: 'drawn: element by element; seen: by the pictures of the pages')] public string $by,
        #[ListOf(SheetPlaceRow::class)] public array $places,
    ) {}

    /**
     * @param  array{int, int}  $pages  of the old sheet and of the new one
     * @param  ?SheetComparison  $comparison  null: only one of them has the page
     */
    public static function of(
        ItemFile $before,
        ItemFile $after,
        int $page,
        array $pages,
        ?SheetSize $was,
        ?SheetSize $is,
        bool $isDrawn,
        ?SheetComparison $comparison,
    ): self {
        $size = new SheetSize(max($was->width ?? 0, $is->width ?? 0), max($was->height ?? 0, $is->height ?? 0));
        $places = $comparison === null ? [] : $comparison->places;

        return new self(
            before: FileRow::of($before),
            after: FileRow::of($after),
            page: $page,
            pages_before: $pages[0],
            pages_after: $pages[1],
            width_before: $was?->width,
            height_before: $was?->height,
            width_after: $is?->width,
            height_after: $is?->height,
            by: $isDrawn ? 'drawn' : 'seen',
            places: array_map(
                static fn($place, int $at): SheetPlaceRow => SheetPlaceRow::of($place, $at + 1, $size),
                $places,
                array_keys($places),
            ),
        );
    }
}
