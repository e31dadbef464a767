<?php

declare(strict_types=1);

namespace App\Files;

use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/**
 * PHP in a process of its own with bounds on memory, time and what it writes, for work on files that come from outside. Its
 * temporary files are in a folder of its own, which goes with it however it ends.
 */
final readonly class Confined
{
    /** The largest single file it may write, in the blocks of 512 bytes that ulimit counts: 512 MB. */
    private const BLOCKS = 1_048_576;

    /** What libraries that PHP does not count may take besides, programs and all, in the kilobytes of ulimit: 640 MB. */
    private const BESIDES = 655_360;

    private const LOOKED_EVERY = 200_000;

    /**
     * @param  list<string>  $arguments  of the PHP command line
     * @param  ?\Closure(): bool  $stop  asked several times a second; true ends it at once
     */
    public static function run(array $arguments, float $seconds, int $megabytes, ?\Closure $stop = null): ConfinedEnd
    {
        $folder = sys_get_temp_dir() . '/orthotaxis-' . Str::random(16);
        mkdir($folder, 0700);
        $limits = sprintf('ulimit -f %d; ulimit -v %d; exec "$@"', self::BLOCKS, $megabytes * 1024 + self::BESIDES);
        $process = new Process(
            ['/bin/sh', '-c', $limits, 'sh', PHP_BINARY, '-d', "memory_limit={$megabytes}M", ...$arguments],
            base_path(),
            ['TMPDIR' => $folder],
            null,
            $seconds,
        );
        try {
            $process->start();
            while ($process->isRunning()) {
                $process->checkTimeout();
                if ($stop !== null && $stop()) {
                    $process->stop(0);

                    return ConfinedEnd::Stopped;
                }
                usleep(self::LOOKED_EVERY / ($stop === null ? 10 : 1));
            }
            $said = $process->getOutput() . $process->getErrorOutput();

            return match (true) {
                $process->isSuccessful() => ConfinedEnd::Whole,
                str_contains($said, 'Allowed memory size') => ConfinedEnd::Memory,
                default => ConfinedEnd::Broken,
            };
        } catch (ProcessTimedOutException) {
            return ConfinedEnd::Time;
        } finally {
            File::deleteDirectory($folder);
        }
    }
}
