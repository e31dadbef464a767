<?php

declare(strict_types=1);

namespace App\Files;

/** A page of a sheet as a picture, or all of it as a PDF that needs nothing else. */
final readonly class Drawn
{
    /** Four bytes each when a picture is opened. */
    private const MOST_PIXELS = 16_000_000;

    /** Reading a model takes some seconds, and one of a hundred thousand faces more than anybody should wait for. */
    private const MODEL_SECONDS = 90;

    private const MODEL_BYTES = 30_000_000;

    /** Its heap; bodies are read beside it, in a memory of their own that ends at 2 GB. */
    private const MODEL_MEGABYTES = 768;

    /**
     * @param  string  $path  of the file
     * @param  int  $width  of the picture, in pixels
     * @return ?string PNG; null: it is of no kind that is drawn, or cannot be
     */
    public static function png(string $path, string $mediaType, int $width, int $page = 1): ?string
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
                '-f',
                (string) $page,
                '-scale-to-x',
                (string) $width,
                '-scale-to-y',
                '-1',
                $path,
            ]),
            'image/png', 'image/jpeg' => self::scaled($path, $width),
            FileContent::MODEL => self::model($path, $width),
            default => null,
        };

        return $png !== null && str_starts_with($png, "\x89PNG") ? $png : null;
    }

    /** The bodies of a design model, shaded, by the reader that the page has. */
    private static function model(string $path, int $width): ?string
    {
        return filesize($path) > self::MODEL_BYTES
            ? null
            : DrawingProgram::run(
                [
                    'node',
                    '--max-old-space-size=' . self::MODEL_MEGABYTES,
                    base_path('bootstrap/ssr/draw.js'),
                    $path,
                    (string) $width,
                    (string) round($width / M_SQRT2),
                ],
                self::MODEL_SECONDS,
                reserves: true,
            );
    }

    /** A picture as wide as wanted; larger ones than that would take too much memory to open are left alone. */
    private static function scaled(string $path, int $width): ?string
    {
        [$wide, $high] = @getimagesize($path) ?: [0, 0];
        $picture =
            $wide * $high === 0 || $wide * $high > self::MOST_PIXELS ? false : @imagecreatefromstring((string) file_get_contents($path));
        if ($picture === false) {
            return null;
        }
        $scaled = imagecreatetruecolor(max(1, $width), max(1, (int) round(($width * $high) / $wide)));
        // What shines through stands on paper.
        imagefill($scaled, 0, 0, (int) imagecolorallocate($scaled, 255, 255, 255));
        imagecopyresampled($scaled, $picture, 0, 0, 0, 0, imagesx($scaled), imagesy($scaled), $wide, $high);
        ob_start();
        imagepng($scaled);

        return (string) ob_get_clean();
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
