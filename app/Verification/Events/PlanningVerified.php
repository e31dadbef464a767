<?php

declare(strict_types=1);

namespace App\Verification\Events;

use App\Ledger\Deed;

/** Planning's own copy was read back and compared with what holds here. */
final readonly class PlanningVerified extends Deed
{
    public const NAME = 'planning.verified';

    /**
     * @param  string  $of  the order whose hand-over was answered, or planning as such
     * @param  int  $compared  rows
     * @param  int  $differing  rows
     * @param  ?list<string>  $items  numbers; null: everything
     */
    public function __construct(string $of, public int $compared, public int $differing, public ?array $items)
    {
        parent::__construct('planning', $of);
    }

    public function details(): array
    {
        return ['compared' => $this->compared, 'differing' => $this->differing];
    }
}
