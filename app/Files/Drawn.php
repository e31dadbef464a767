<?php

declare(strict_types=1);

namespace App\Files;

/** The first page of a sheet as a picture, or all of it as a PDF that needs nothing else. */
final readonly class Drawn
{
    /**
     * @param  string  $path  of the file
     * @param  int  $width  of the picture, in pixels
     * @return ?string PNG; null: it is of no kind that is drawn, or cannot be
     */
    public static function png(string $path, string $mediaType, int $width): ?string
    {
        $png = match ($mediaType) {
            'image/svg+xml' => DrawingProgram::run([
                'rsvg-convert',
                '--format=png',
                '--background-color=white',
                "--width={$width}",
                '--keep-aspect-ratio',
                $path,
            ]),
            'application/pdf' => DrawingProgram::run([
                'pdftoppm',
                '-png',
                '-singlefile',
                '-scale-to-x',
                (string) $width,
                '-scale-to-y',
                '-1',
                $path,
            ]),
            default => null,
        };

        return $png !== null && str_starts_with($png, "\x89PNG") ? $png : null;
    }

    /**
     * Drawn anew with every font in it, so that it looks the same everywhere; text of an SVG becomes lines.
     *
     * @param  string  $path  of the file
     * @return ?string PDF 1.5; null: it is of no kind that is drawn so, or cannot be
     */
    public static function pdf(string $path, string $mediaType): ?string
    {
        $pdf = match ($mediaType) {
            'image/svg+xml' => DrawingProgram::run(['rsvg-convert', '--format=pdf', $path]),
            'application/pdf' => DrawingProgram::run(['pdftocairo', '-pdf', $path, '-']),
            default => null,
        };

        return $pdf !== null && str_starts_with($pdf, '%PDF-') ? $pdf : null;
    }
}
