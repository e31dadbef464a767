<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** Reports are answered by a request. */
final readonly class ReportsGathered extends Deed
{
    public const NAME = 'request.gathered_reports';

    /** @param  list<string>  $reports */
    public function __construct(string $by, string $of, public array $reports)
    {
        parent::__construct($by, $of);
    }
}
