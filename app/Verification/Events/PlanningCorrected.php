<?php

declare(strict_types=1);

namespace App\Verification\Events;

use App\Ledger\Deed;

/** What planning's copy is to say was handed over anew. */
final readonly class PlanningCorrected extends Deed
{
    public const NAME = 'planning.corrected';

    /**
     * @param  string  $of  the name of the hand-over
     * @param  int  $rows  how many
     * @param  list<string>  $items  numbers
     */
    public function __construct(string $by, string $of, public int $rows, public array $items)
    {
        parent::__construct($by, $of);
    }
}
