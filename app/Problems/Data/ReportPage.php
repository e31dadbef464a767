<?php

declare(strict_types=1);

namespace App\Problems\Data;

use App\Attachments\Data\ChangeFileRow;
use App\Http\Api\ListOf;
use App\Ledger\LedgerReader;
use App\Ledger\LedgerRow;
use App\Problems\GatheringRequests;
use App\Problems\Models\ProblemReport;
use App\Structures\Data\ItemRow;
use App\Vocabulary\ChangeRow;
use OpenApi\Attributes as OA;

/** One problem report with all that is linked to it. */
#[OA\Schema]
final readonly class ReportPage
{
    /**
     * @param  list<ItemRow>  $items
     * @param  list<ChangeRow>  $requests
     * @param  list<ReportRow>  $duplicates  reports of the same
     * @param  list<ChangeFileRow>  $files
     * @param  list<LedgerRow>  $ledger  newest first
     */
    private function __construct(
        #[OA\Property] public ReportRow $report,
        #[OA\Property] public string $description,
        #[OA\Property(description: 'the answer, or the question it was sent back with')] public string $answer,
        #[OA\Property(description: 'number of the report that says the same')] public ?string $same_as,
        #[OA\Property(description: 'sign-in name')] public string $raised_by_login,
        #[OA\Property] public ?string $settled_by,
        #[OA\Property] public ?string $settled_at,
        #[OA\Property] public int $version,
        #[ListOf(ItemRow::class)] public array $items,
        #[ListOf(ChangeRow::class)] public array $requests,
        #[ListOf(ReportRow::class)] public array $duplicates,
        #[ListOf(ChangeFileRow::class)] public array $files,
        #[ListOf(LedgerRow::class)] public array $ledger,
    ) {}

    public static function of(string $number): self
    {
        $report = ProblemReport::query()
            ->with([
                'raisedBy',
                'settledBy',
                'sameAs',
                'items.category',
                'items.everReleased',
                'items.revisingOrders',
                'items.picture',
                'requests',
                'duplicates.raisedBy',
                'duplicates.items',
                'duplicates.requests',
                'files.person',
            ])
            ->where('number', $number)
            ->firstOrFail();

        return new self(
            report: ReportRow::of($report),
            description: $report->description,
            answer: $report->answer,
            same_as: $report->sameAs?->number,
            raised_by_login: $report->raisedBy->login,
            settled_by: $report->settledBy?->name,
            settled_at: $report->settled_at?->toIso8601String(),
            version: $report->version,
            items: $report->items->map(ItemRow::of(...))->values()->all(),
            requests: app(GatheringRequests::class)->of($report),
            duplicates: $report->duplicates->map(static fn(ProblemReport $one): ReportRow => ReportRow::of($one))->values()->all(),
            files: $report->files->map(ChangeFileRow::of(...))->values()->all(),
            ledger: array_map(LedgerRow::of(...), app(LedgerReader::class)->about([$number])),
        );
    }
}
