<?php

declare(strict_types=1);

namespace App\Files;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** A program that draws a file that came from outside, in a process with bounds on memory and time. */
final readonly class DrawingProgram
{
    public const SECONDS = 20;

    /** Kilobytes of memory that the program may take, as ulimit counts them. */
    private const MEMORY = 1_048_576;

    /**
     * @param  list<string>  $program  with its arguments
     * @param  bool  $reserves  whether it reserves more memory than it will ever take, and bounds itself
     * @return ?string what it wrote; null: it failed, or took too long
     */
    public static function run(array $program, int $seconds = self::SECONDS, bool $reserves = false): ?string
    {
        $bound = $reserves ? '' : sprintf('ulimit -v %d; ', self::MEMORY);
        $process = new Process(['/bin/sh', '-c', $bound . 'exec "$@"', 'sh', ...$program], timeout: $seconds);
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            return null;
        }

        return $process->isSuccessful() ? $process->getOutput() : null;
    }
}
