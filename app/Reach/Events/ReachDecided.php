<?php

declare(strict_types=1);

namespace App\Reach\Events;

use App\Ledger\Deed;

/** Rows of a reach are taken in, left out, or undecided again. */
final readonly class ReachDecided extends Deed
{
    /** @param  list<string>  $rows  their subjects */
    public function __construct(string $by, string $of, public ?bool $taken, public array $rows, public string $reason)
    {
        parent::__construct($by, $of);
    }

    public function name(): string
    {
        return match ($this->taken) {
            true => 'reach.taken_in',
            false => 'reach.left_out',
            null => 'reach.taken_back',
        };
    }

    public function details(): array
    {
        return ['rows' => $this->rows, 'reason' => $this->reason];
    }
}
