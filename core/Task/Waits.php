<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Task;

use Orthotaxis\Core\Refusal;

/** Which tasks wait for which others to be done. */
final readonly class Waits
{
    /** @param  array<int, list<int>>  $for  task => those it waits for */
    public function __construct(private array $for) {}

    /**
     * @param  list<int>  $others
     *
     * @throws Refusal when the task would wait for itself, over whichever others
     */
    public function add(int $task, array $others): self
    {
        $seen = [];
        for ($queue = $others, $i = 0; $i < count($queue); $i++) {
            if ($queue[$i] === $task) {
                throw Refusal::at('waits_for', 'The task would wait for itself.');
            }
            if (!isset($seen[$queue[$i]])) {
                $seen[$queue[$i]] = true;
                array_push($queue, ...$this->for[$queue[$i]] ?? []);
            }
        }

        return new self([$task => $others] + $this->for);
    }
}
