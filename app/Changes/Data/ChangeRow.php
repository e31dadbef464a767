<?php

declare(strict_types=1);

namespace App\Changes\Data;

use App\Changes\Models\ChangeOrder;
use App\Changes\Models\ChangeRequest;
use App\Problems\Models\ProblemReport;
use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\OrderOfWork;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Change\WorkStep;
use Orthotaxis\Core\Report\ReportState;

/** A report, a request or an order as it appears in any list. */
#[OA\Schema]
final readonly class ChangeRow
{
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property(enum: ['report', 'request', 'order'])] public string $type,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['critical', 'high', 'normal', 'low'])] public string $priority,
        #[OA\Property] public string $state,
        #[OA\Property(description: 'the step of work it is at')] public string $step,
        #[OA\Property] public bool $open,
        #[OA\Property] public string $raised_at,
        #[OA\Property] public string $raised_by,
        #[OA\Property] public ?string $site,
        #[OA\Property] public ?string $source,
        #[OA\Property] public ?string $effective_on,
        #[OA\Property(description: 'who has to act, when it is one person')] public ?string $waits_for,
    ) {}

    /** From a row that ChangeSearch has read. */
    public static function read(\stdClass $row): self
    {
        return new self(
            $row->number, $row->type, $row->title, $row->priority, $row->state, $row->step, $row->open, CarbonImmutable::parse($row->raised_at)->toIso8601String(),
            $row->raised_by, $row->site, $row->source, $row->effective_on, $row->waits_for,
        );
    }

    public static function ofReport(ProblemReport $report): self
    {
        return new self(
            $report->number, 'report', $report->title, $report->severity, $report->state->value, WorkStep::TakeIn->value, $report->state->isOpen(),
            $report->raised_at->toIso8601String(), $report->raisedBy->name, $report->site, $report->source, null,
            $report->state === ReportState::Returned ? $report->raisedBy->name : null,
        );
    }

    public static function ofRequest(ChangeRequest $request): self
    {
        return new self(
            $request->number, 'request', $request->title, $request->priority, $request->state->value,
            OrderOfWork::current($request->state, null)->value, $request->state->isOpen(),
            $request->raised_at->toIso8601String(), $request->raisedBy->name, $request->site, $request->source, null,
            $request->state === RequestState::Returned ? $request->raisedBy->name : null,
        );
    }

    public static function ofOrder(ChangeOrder $order): self
    {
        $step = OrderOfWork::current(null, $order->state);

        return new self(
            $order->number, 'order', $order->title, $order->priority, $order->state->value, $step->value,
            ! in_array($order->state->value, ['closed', 'withdrawn'], true),
            $order->raised_at->toIso8601String(), $order->author->name, null, null, $order->effective_on,
            match ($order->state->value) {
                'revising' => $order->editor?->name,
                'in_review' => $order->signer?->name,
                default => null,
            },
        );
    }
}
