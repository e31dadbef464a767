<?php

declare(strict_types=1);

namespace App\Problems\Events;

use App\Ledger\Deed;

/** A problem is reported. */
final readonly class ReportRaised extends Deed
{
    public const NAME = 'report.raised';

    /** @param  list<string>  $items */
    public function __construct(string $by, string $of, public string $title, public string $severity, public array $items)
    {
        parent::__construct($by, $of);
    }
}
