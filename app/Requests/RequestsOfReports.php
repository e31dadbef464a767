<?php

declare(strict_types=1);

namespace App\Requests;

use App\Problems\GatheringRequests;
use App\Problems\Models\ProblemReport;
use App\Requests\Models\ChangeRequest;
use App\Vocabulary\ChangeRow;

/** The requests that answer a report, as rows of a list. */
final readonly class RequestsOfReports implements GatheringRequests
{
    public function of(ProblemReport $report): array
    {
        return ChangeRequest::query()
            ->with('raisedBy')
            ->whereRelation('reports', 'problem_reports.id', $report->id)
            ->orderBy('id')
            ->get()
            ->map(static fn(ChangeRequest $one): ChangeRow => $one->row())
            ->values()
            ->all();
    }
}
