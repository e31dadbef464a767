<?php

declare(strict_types=1);

/** How long the processors of this machine have been running, and how long of it they were given to another one (Linux: /proc/stat). */
final readonly class Processors
{
    private function __construct(private int $all, private int $taken) {}

    public static function now(): self
    {
        $line = is_readable('/proc/stat') ? strtok((string) file_get_contents('/proc/stat'), "\n") : 'cpu';
        // user, nice, system, idle, iowait, irq, softirq, steal; what guests used is in the first two already.
        $times = array_map(intval(...), array_slice(preg_split('/\s+/', (string) $line) ?: [], 1, 8));

        return new self(array_sum($times), $times[7] ?? 0);
    }

    /** @return float of 1 */
    public function takenSince(self $before): float
    {
        return ($this->taken - $before->taken) / max(1, $this->all - $before->all);
    }
}
