<?php

declare(strict_types=1);

namespace App\Requests\Data;

use App\Attachments\Data\ChangeFileRow;
use App\Http\Api\ListOf;
use App\Problems\Data\ReportRow;
use App\Problems\Models\ProblemReport;
use App\Requests\Models\ChangeRequest;
use App\Structures\Data\ItemRow;
use App\Vocabulary\ChangeRow;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class RequestData
{
    /** What has to be loaded of a request before it is told: wherever several are, none of it is asked for one by one. */
    public const RELATIONS = [
        'raisedBy',
        'decidedBy',
        'orders',
        'items.category',
        'items.everReleased',
        'items.revisingOrders',
        'items.picture',
        'files.person',
        'reports.raisedBy',
        'reports.items',
        'reports.requests',
        'reports.files.person',
        'gathered.raisedBy',
        'gathered.files.person',
        'gatheredInto',
        'splitFrom',
        'splitOff',
    ];

    /**
     * @param  list<ItemRow>  $items
     * @param  list<string>  $orders  numbers
     * @param  list<ReportRow>  $reports  that it answers
     * @param  list<ChangeFileRow>  $files  its own, and those of the reports and requests gathered into it
     * @param  list<ChangeRow>  $gathered  requests gathered into it
     * @param  list<string>  $split_off  numbers
     */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $source,
        #[OA\Property] public string $site,
        #[OA\Property(enum: ['critical', 'high', 'normal', 'low'])] public string $priority,
        #[OA\Property] public string $description,
        #[OA\Property(enum: ['raised', 'assessing', 'returned', 'approved', 'rejected', 'ordered', 'gathered'])] public string $state,
        #[OA\Property] public string $finding,
        #[OA\Property] public string $decision_reason,
        #[OA\Property] public string $raised_by,
        #[OA\Property(description: 'sign-in name')] public string $raised_by_login,
        #[OA\Property] public string $raised_at,
        #[OA\Property] public ?string $decided_by,
        #[OA\Property] public ?string $decided_at,
        #[OA\Property] public int $version,
        #[OA\Property(description: 'whether a rule chooses its approval path, until somebody signs')] public bool $path_by_rule,
        #[ListOf(ItemRow::class)] public array $items,
        #[ListOf('string')] public array $orders,
        #[ListOf(ReportRow::class)] public array $reports,
        #[ListOf(ChangeFileRow::class)] public array $files,
        #[ListOf(ChangeRow::class)] public array $gathered,
        #[OA\Property(description: 'number of the request it is gathered into')] public ?string $gathered_into,
        #[OA\Property(description: 'number of the request it was split from')] public ?string $split_from,
        #[ListOf('string')] public array $split_off,
    ) {}

    public static function of(ChangeRequest $request): self
    {
        return new self(
            number: $request->number,
            title: $request->title,
            reason: $request->reason,
            source: $request->source,
            site: $request->site,
            priority: $request->priority,
            description: $request->description,
            state: $request->state->value,
            finding: $request->finding,
            decision_reason: $request->decision_reason,
            raised_by: $request->raisedBy->name,
            raised_by_login: $request->raisedBy->login,
            raised_at: $request->raised_at->toIso8601String(),
            decided_by: $request->decidedBy?->name,
            decided_at: $request->decided_at?->toIso8601String(),
            version: $request->version,
            path_by_rule: $request->path_by_rule,
            items: $request->items->map(ItemRow::of(...))->values()->all(),
            orders: $request->orders->map(static fn($order): string => $order->number)->values()->all(),
            reports: $request->reports->map(static fn(ProblemReport $report): ReportRow => ReportRow::of($report))->values()->all(),
            files: $request->files
                ->concat($request->reports->flatMap->files)
                ->concat($request->gathered->flatMap->files)
                ->map(ChangeFileRow::of(...))
                ->values()
                ->all(),
            gathered: $request->gathered->map(static fn(ChangeRequest $one): ChangeRow => $one->row())->values()->all(),
            gathered_into: $request->gatheredInto?->number,
            split_from: $request->splitFrom?->number,
            split_off: $request->splitOff->map(static fn(ChangeRequest $one): string => $one->number)->values()->all(),
        );
    }
}
