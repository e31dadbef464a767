<?php

declare(strict_types=1);

namespace App\Files;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** A program of Debian that draws a file that came from outside, in a process with bounds on memory and time. */
final readonly class DrawingProgram
{
    private const SECONDS = 20;

    /** Kilobytes of memory that the program may take, as ulimit counts them. */
    private const MEMORY = 1_048_576;

    /**
     * @param  list<string>  $program  with its arguments
     * @return ?string what it wrote; null: it failed, or took too long
     */
    public static function run(array $program): ?string
    {
        $process = new Process(
            ['/bin/sh', '-c', sprintf('ulimit -v %d; exec "$@"', self::MEMORY), 'sh', ...$program],
            timeout: self::SECONDS,
        );
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            return null;
        }

        return $process->isSuccessful() ? $process->getOutput() : null;
    }
}
