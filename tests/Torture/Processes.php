<?php

declare(strict_types=1);

namespace Tests\Torture;

use Random\Randomizer;

/** The processes that serve the product, to be killed. */
final class Processes
{
    /**
     * @param  int  $web  the php-fpm that starts its workers anew
     * @param  list<int>  $groups  of the loops that start queue workers anew
     * @param  int  $planning  the group of the planning stand-in
     */
    public function __construct(private readonly int $web, private readonly array $groups, private int $planning) {}

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

    /** One process of the database that serves somebody: it ends all others too, and comes back by itself. */
    public function killDatabase(Database $database): void
    {
        $served =
            'SELECT pid FROM pg_stat_activity WHERE backend_type = \'client backend\' ORDER BY pid = pg_backend_pid(), query_start DESC NULLS LAST LIMIT 1';
        self::kill([(int) $database->value($served)]);
    }

    /** The planning stand-in, with what it is at; it is there again at once. */
    public function killPlanning(): void
    {
        self::kill(self::pids("pgrep -g {$this->planning}"));
        $address = substr((string) getenv('PLANNING_URL'), strlen('http://'));
        // Of a group of its own, as the one before.
        $this->planning = (int) shell_exec(
            "PHP_CLI_SERVER_WORKERS=4 setsid php -S {$address} stand-ins/planning/index.php > /dev/null 2>&1 < /dev/null & echo $!",
        );
        register_shutdown_function(static fn(int $group) => exec("pkill -KILL -g {$group}"), $this->planning);
        for ($try = 0; $try < 100 && @file_get_contents("http://{$address}/up") === false; $try++) {
            usleep(50_000);
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
