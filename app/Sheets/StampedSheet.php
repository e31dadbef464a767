<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Documents\Models\ItemFile;
use App\Files\Drawn;
use App\Files\StoredFile;
use Orthotaxis\Core\Refusal;
use setasign\Fpdi\PdfReader\PdfReaderException;

/**
 * A sheet as a PDF/A that needs no account to be read: each of its pages with the status of the day above it, and its history of revisions
 * on a page of its own. The original stays as it is.
 */
final readonly class StampedSheet
{
    /**
     * @param  string  $address  that tells what it is on any later day; empty: it has none
     * @param  string  $language  en or de
     *
     * @throws Refusal when it cannot be drawn
     */
    public static function pdf(ItemFile $file, SheetFacts $facts, string $address, string $language = 'en'): string
    {
        $paper = new SheetPaper($facts, new SheetWords($language), $address);
        StoredFile::with($file->file_id, static function (string $path) use ($file, $paper): void {
            if (in_array($file->media_type, ['image/png', 'image/jpeg'], true)) {
                $paper->picture($path);

                return;
            }
            $drawn = Drawn::pdf($path, $file->media_type) ?? throw self::cannot($file);
            try {
                $paper->pages($drawn);
            } catch (PdfReaderException) {
                throw self::cannot($file);
            }
        });
        $paper->history();

        return $paper->written();
    }

    private static function cannot(ItemFile $file): Refusal
    {
        return Refusal::at('file', "{$file->name} cannot be drawn. Open the file as it was uploaded.");
    }
}
