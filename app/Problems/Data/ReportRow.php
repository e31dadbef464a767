<?php

declare(strict_types=1);

namespace App\Problems\Data;

use App\Http\Api\ListOf;
use App\Problems\Models\NamedRequest;
use App\Problems\Models\ProblemReport;
use App\Structures\Models\Item;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Report\ReportState;

/** A problem report as it appears in any list. */
#[OA\Schema]
final readonly class ReportRow
{
    /**
     * @param  list<string>  $items  numbers
     * @param  list<string>  $requests  numbers
     */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $source,
        #[OA\Property] public string $site,
        #[OA\Property(enum: ['critical', 'high', 'normal', 'low'])] public string $severity,
        #[OA\Property(enum: ReportState::class)] public string $state,
        #[OA\Property] public string $serial,
        #[OA\Property] public string $raised_by,
        #[OA\Property] public string $raised_at,
        #[ListOf('string')] public array $items,
        #[ListOf('string')] public array $requests,
        #[OA\Property(description: 'how alike it is to what was asked about, 0 to 100')] public ?int $likeness,
    ) {}

    public static function of(ProblemReport $report, ?int $likeness = null): self
    {
        return new self(
            number: $report->number,
            title: $report->title,
            source: $report->source,
            site: $report->site,
            severity: $report->severity,
            state: $report->state->value,
            serial: $report->serial,
            raised_by: $report->raisedBy->name,
            raised_at: $report->raised_at->toIso8601String(),
            items: $report->items->map(static fn(Item $item): string => $item->number)->values()->all(),
            requests: $report->requests->map(static fn(NamedRequest $request): string => $request->number)->values()->all(),
            likeness: $likeness,
        );
    }
}
