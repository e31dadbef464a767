<?php

declare(strict_types=1);

namespace App\Problems;

use App\Problems\Models\ProblemReport;
use App\Vocabulary\ChangeRow;

/** The requests that a report is gathered into. Whoever keeps requests says it. */
interface GatheringRequests
{
    /** @return list<ChangeRow> */
    public function of(ProblemReport $report): array;
}
