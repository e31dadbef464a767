<?php

declare(strict_types=1);

namespace Tests\Torture;

use Random\Randomizer;

/** The processes that serve the product, to be killed. */
final readonly class Processes
{
    /**
     * @param  int  $web  the php-fpm that starts its workers anew
     * @param  list<int>  $groups  of the loops that start queue workers anew
     */
    public function __construct(private int $web, private array $groups) {}

    /** One of those that answer requests, or all. */
    public function killWeb(Randomizer $random): void
    {
        $workers = self::pids("pgrep -P {$this->web}");
        self::kill($random->getInt(0, 1) === 0 ? $workers : array_slice($workers, $random->getInt(0, max(0, count($workers) - 1)), 1));
    }

    /** All queue workers, with what they are at. */
    public function killWorkers(): void
    {
        foreach ($this->groups as $group) {
            self::kill(array_diff(self::pids("pgrep -g {$group}"), [$group]));
        }
    }

    /** @return list<int> */
    private static function pids(string $command): array
    {
        return array_map(intval(...), array_filter(explode("\n", (string) shell_exec($command))));
    }

    /** @param  array<int>  $pids */
    private static function kill(array $pids): void
    {
        foreach ($pids as $pid) {
            posix_kill($pid, SIGKILL);
        }
    }
}
