<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** A report is answered by a request. */
final readonly class ReportGathered extends Deed
{
    public const NAME = 'report.gathered';

    public function __construct(string $by, string $of, public string $request)
    {
        parent::__construct($by, $of);
    }
}
