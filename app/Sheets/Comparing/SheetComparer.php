<?php

declare(strict_types=1);

namespace App\Sheets\Comparing;

use App\Documents\Models\ItemFile;
use App\Files\StoredFile;
use App\Sheets\Data\ComparedSheets;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Sheet\SheetComparison;
use Orthotaxis\Core\Sheet\SheetSize;

/**
 * Compares a page of two sheets: by what is drawn, where that is known of both and they are drawn by the same rules; by what is seen
 * otherwise.
 */
final readonly class SheetComparer
{
    /** Millimetres: a tenth of an inch has ten of them. */
    private const PIXEL = 0.254;

    /** Of a page; a larger sheet is looked at in larger pixels. */
    private const MOST_PIXELS = 4_000_000;

    /** @throws Refusal at "after" or "page" when there is nothing to compare */
    public static function of(ItemFile $before, ItemFile $after, int $page): ComparedSheets
    {
        return StoredFile::with(
            $before->file_id,
            static fn(string $old): ComparedSheets => StoredFile::with(
                $after->file_id,
                static fn(string $new): ComparedSheets => self::pages(
                    $before,
                    $after,
                    SheetPages::of($old, $before->media_type),
                    SheetPages::of($new, $after->media_type),
                    $page,
                ),
            ),
        );
    }

    private static function pages(ItemFile $before, ItemFile $after, SheetPages $old, SheetPages $new, int $page): ComparedSheets
    {
        $count = max($old->count, $new->count);
        if ($page > $count) {
            throw Refusal::at('page', $count === 1 ? 'These sheets have one page.' : "These sheets have {$count} pages.");
        }
        $was = $page > $old->count ? null : $old->size($page) ?? throw self::cannot($before);
        $is = $page > $new->count ? null : $new->size($page) ?? throw self::cannot($after);
        $size = new SheetSize(max($was->width ?? 0, $is->width ?? 0), max($was->height ?? 0, $is->height ?? 0));
        $comparison = null;
        $isDrawn = false;
        if ($old->drawn !== null && $new->drawn !== null && $old->drawn->look === $new->drawn->look) {
            $comparison = SheetComparison::ofElements($old->drawn->elements(), $new->drawn->elements(), $size);
            $isDrawn = true;
        } elseif ($was !== null && $is !== null) {
            $pixel = max(self::PIXEL, sqrt(($size->width * $size->height) / self::MOST_PIXELS));
            $comparison = SheetComparison::ofPictures(
                $old->grey($page, $was, $pixel) ?? throw self::cannot($before),
                $new->grey($page, $is, $pixel) ?? throw self::cannot($after),
                $pixel,
                $old->texts($page),
                $new->texts($page),
            );
        }

        return ComparedSheets::of(
            before: $before,
            after: $after,
            page: $page,
            pages: [$old->count, $new->count],
            was: $was,
            is: $is,
            isDrawn: $isDrawn,
            comparison: $comparison,
        );
    }

    private static function cannot(ItemFile $file): Refusal
    {
        return Refusal::at('after', "{$file->name} cannot be drawn, or is too large. Open both files as they were uploaded.");
    }
}
