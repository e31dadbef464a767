<?php

declare(strict_types=1);

namespace App\Files;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** The first page of a sheet as a picture, drawn by the programs of Debian, in a process with bounds on memory and time. */
final readonly class Drawn
{
    private const SECONDS = 20;

    /** Kilobytes of memory that the program may take, as ulimit counts them. */
    private const MEMORY = 1_048_576;

    /**
     * @param  string  $path  of the file
     * @param  int  $width  of the picture, in pixels
     * @return ?string PNG; null: it is of no kind that is drawn, or cannot be
     */
    public static function png(string $path, string $mediaType, int $width): ?string
    {
        $program = match ($mediaType) {
            'image/svg+xml' => [
                'rsvg-convert',
                '--format=png',
                '--background-color=white',
                "--width={$width}",
                '--keep-aspect-ratio',
                $path,
            ],
            'application/pdf' => ['pdftoppm', '-png', '-singlefile', '-scale-to-x', (string) $width, '-scale-to-y', '-1', $path],
            default => null,
        };
        if ($program === null) {
            return null;
        }
        $process = new Process(
            ['/bin/sh', '-c', sprintf('ulimit -v %d; exec "$@"', self::MEMORY), 'sh', ...$program],
            timeout: self::SECONDS,
        );
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            return null;
        }
        $png = $process->getOutput();

        return $process->isSuccessful() && str_starts_with($png, "\x89PNG") ? $png : null;
    }
}
