<?php

declare(strict_types=1);

namespace Tests\Torture;

use Random\Randomizer;

/**
 * Releases an order and hands it over while processes are killed at random moments: those that answer, those that work, the database and
 * planning. It is released once or not at all, planning has it once, and every line of it is answered.
 */
final readonly class Releases
{
    private const WHAT = ['web', 'workers', 'database', 'planning'];

    /** @param  array<string, Client>  $people */
    public function __construct(private array $people, private Database $database, private Processes $processes, private Kills $kills) {}

    /** @return list<array{string, ?string}> */
    public function round(Randomizer $random): array
    {
        [$order, $item] = $this->kills->signed();
        $version = $this->database->value('SELECT version FROM change_orders WHERE number = ?', [$order]);
        $killed = [];
        $kill = function () use ($random, &$killed): void {
            $what = self::WHAT[$random->getInt(0, count(self::WHAT) - 1)];
            $killed[] = $what;
            match ($what) {
                'web' => $this->processes->killWeb($random),
                'workers' => $this->processes->killWorkers(),
                'database' => $this->processes->killDatabase($this->database),
                'planning' => $this->processes->killPlanning(),
            };
        };
        $this->people['mira.okafor']->during('POST', "/orders/{$order}/release", ['version' => $version], $random->getInt(0, 200), $kill);
        for ($more = $random->getInt(0, 2); $more > 0; $more--) {
            usleep($random->getInt(0, 500_000));
            $kill();
        }
        $this->kills->isUp();
        $fault = $this->kills->isReleased($order, $item, $version);
        $told = $fault === null ? $this->handedOver($order) : $fault;

        return [["releasing {$order}, killed " . implode(', ', $killed), $told]];
    }

    private function handedOver(string $order): ?string
    {
        [$name, $fault] = $this->kills->arrives($order);
        $lines = (string) $this->database->value(
            "SELECT concat_ws(' ', count(*), count(*) FILTER (WHERE e.answer = 'taken')) FROM handover_entries e JOIN handovers h ON h.id = e.handover_id WHERE h.name = ?",
            [$name],
        );
        [$all, $taken] = explode(' ', $lines);

        return $fault ?? ($all === '0' || $all !== $taken ? "{$taken} of {$all} lines of {$name} are answered" : null);
    }
}
