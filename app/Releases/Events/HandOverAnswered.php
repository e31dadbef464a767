<?php

declare(strict_types=1);

namespace App\Releases\Events;

use App\Ledger\Deed;

/** Planning has taken a hand-over, or parts of it, or refused it. */
final readonly class HandOverAnswered extends Deed
{
    /**
     * @param  string  $state  taken, partly_refused or refused
     * @param  array<string, int>  $counts  how many of its entries were answered how
     */
    public function __construct(string $of, public string $state, public string $handOver, public array $counts)
    {
        parent::__construct('planning', $of);
    }

    public function name(): string
    {
        return "hand_over.{$this->state}";
    }

    public function details(): array
    {
        return ['hand_over' => $this->handOver] + $this->counts;
    }
}
