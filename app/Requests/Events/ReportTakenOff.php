<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** A request answers a report no longer. */
final readonly class ReportTakenOff extends Deed
{
    public const NAME = 'report.taken_off';

    public function __construct(string $by, string $of, public string $request)
    {
        parent::__construct($by, $of);
    }
}
