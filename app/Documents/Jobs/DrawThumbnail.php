<?php

declare(strict_types=1);

namespace App\Documents\Jobs;

use App\Documents\Models\ItemFile;
use App\Documents\Thumbnail;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Draws a file small, as soon as it has come; a draft may be gone again by then. */
final class DrawThumbnail implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public function __construct(public readonly string $file)
    {
        $this->afterCommit();
    }

    public function handle(): void
    {
        $file = ItemFile::query()->find($this->file);
        if ($file !== null) {
            Thumbnail::draw($file);
        }
    }
}
