<?php

declare(strict_types=1);

namespace App\Documents;

use App\Documents\Models\ItemFile;
use App\Files\Drawn;
use App\Files\StoredFile;
use Illuminate\Support\Facades\DB;

/**
 * The first page of a file, small, or the bodies of a model. Drawn once, by a worker when it comes; a sheet or picture by whoever asks
 * first where that has not been. A model takes too long for that: an item is told by it once it is drawn.
 */
final readonly class Thumbnail
{
    /** Pixels: it is looked at a quarter as wide, and enlarged. */
    private const WIDTH = 240;

    private const DARKER = 0.22;

    /** @return ?string PNG; null: it cannot be drawn */
    public static function of(ItemFile $file): ?string
    {
        $kept = DB::table('thumbnails')->where('file_id', $file->id)->value('png');

        return match (true) {
            is_resource($kept) => (string) stream_get_contents($kept),
            $file->role === FileRole::Model => null,
            default => self::draw($file),
        };
    }

    public static function draw(ItemFile $file): ?string
    {
        $png = StoredFile::with($file->file_id, static fn(string $path): ?string => Drawn::png($path, $file->media_type, self::WIDTH));
        if ($png !== null) {
            $png = in_array($file->media_type, ['image/svg+xml', 'application/pdf'], true) ? self::inked($png) : $png;
            DB::insert("INSERT INTO thumbnails (file_id, png) VALUES (?, decode(?, 'base64')) ON CONFLICT DO NOTHING", [
                $file->id,
                base64_encode($png),
            ]);
        }

        return $png;
    }

    /** Fine lines turn pale when they are drawn small: darker, so that they are seen. */
    private static function inked(string $png): string
    {
        $picture = imagecreatefromstring($png);
        if ($picture === false) {
            return $png;
        }
        imagepalettetotruecolor($picture);
        imagegammacorrect($picture, 1.0, self::DARKER);
        ob_start();
        imagepng($picture);

        return (string) ob_get_clean();
    }
}
