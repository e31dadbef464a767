<?php

declare(strict_types=1);

namespace App\Dossier;

use App\Dossier\Data\Dossier;
use App\Dossier\Data\StepRow;
use App\Dossier\Proposals\ProposalReader;
use App\Dossier\RequestPaths\Data\JudgedRequest;
use App\Dossier\RequestPaths\JudgedRequests;
use App\FollowThrough\Models\OldDocument;
use App\Ledger\LedgerReader;
use App\Ledger\LedgerRow;
use App\Orders\Collisions;
use App\Orders\Data\CheckRow;
use App\Orders\Data\OrderData;
use App\Orders\JudgedOrders;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderView;
use App\Orders\Paths\OrderProgress;
use App\Paths\Data\PathPicture;
use App\People\Models\Person;
use App\Releases\Data\HandoverRow;
use App\Releases\Models\Handover;
use App\Requests\Data\RequestData;
use App\Requests\Models\ChangeRequest;
use App\Tasks\Data\TaskRow;
use App\Tasks\Models\ChangeTask;
use App\Verification\Models\PlanningDifference;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Auth;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderOfWork;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Readiness\Check;

/** Puts one change together: its requests, its order, what planning said, who did what. */
final readonly class DossierReader
{
    public function __construct(
        private JudgedOrders $orders,
        private ProposalReader $proposals,
        private JudgedRequests $judged,
        private LedgerReader $ledger,
        private Collisions $collisions,
    ) {}

    /** @param  string  $number of a request or of an order */
    public function read(string $number): Dossier
    {
        $order = ChangeOrder::orders()->where('number', $number)->first();
        if ($order === null) {
            $order = ChangeOrder::ofRequest(ChangeRequest::query()->where('number', $number)->firstOrFail())
                ->reorder('id', 'desc')
                ->first();
        }
        $requests = ChangeRequest::query()
            ->with(RequestData::RELATIONS)
            ->when(
                $order !== null && $order->number === $number,
                static fn($query) => $query->whereRelation('orders', 'order_numbers.id', $order?->id),
                static fn($query) => $query->where('number', $number),
            )
            ->orderBy('id')
            ->get();
        $handovers =
            $order === null
                ? new Collection()
                : Handover::query()
                    ->with(['entries', 'latestMessage'])
                    ->where('order_id', $order->id)
                    ->orderBy('id')
                    ->get();
        $core = $order === null ? null : $this->orders->of($order);
        $order?->load('actors');
        $checks = $core === null ? [] : OrderView::checks($core);
        $first = $requests->first();
        $subjects = array_values(
            array_map(strval(...), [...$requests->pluck('number')->all(), ...$order === null ? [] : [$order->number]]),
        );
        $acts = $this->ledger->about($subjects);
        $me = Auth::user();
        $tasks = ChangeTask::whole()->whereIn('change', $subjects)->orderBy('id')->get();

        $judged = $this->judged->of($me instanceof Person ? $me : null, $requests);

        return new Dossier(
            number: $number,
            title: $order->title ?? ($first->title ?? ''),
            priority: $order->priority ?? ($first->priority ?? 'normal'),
            steps: self::steps($first, $order, $checks, $handovers, $tasks, $judged[0] ?? null),
            requests: $requests->map(RequestData::of(...))->values()->all(),
            proposals: $this->proposals->of($me instanceof Person ? $me : null, $requests, $order),
            judged: $judged,
            order: $order === null || $core === null
                ? null
                : OrderData::of(
                    $order,
                    $core,
                    $me instanceof Person ? $me : null,
                    OrderView::items($order, $core),
                    array_map(CheckRow::of(...), $checks),
                ),
            handovers: $handovers->map(HandoverRow::of(...))->values()->all(),
            collisions: $order === null ? [] : $this->collisions->of($order),
            ledger: array_map(LedgerRow::of(...), $acts),
            acts: count($acts) < LedgerReader::NEWEST ? count($acts) : $this->ledger->countAbout($subjects),
            tasks: $me instanceof Person
                ? $tasks->map(static fn(ChangeTask $task): TaskRow => TaskRow::of($task, $me))->values()->all()
                : [],
        );
    }

    /**
     * @param  list<Check>  $checks
     * @param  Collection<int, Handover>  $handovers
     * @param  Collection<int, ChangeTask>  $tasks
     * @param  ?JudgedRequest  $judged  the first request, where it goes on a path
     * @return list<StepRow>
     */
    private static function steps(
        ?ChangeRequest $request,
        ?ChangeOrder $order,
        array $checks,
        Collection $handovers,
        Collection $tasks,
        ?JudgedRequest $judged,
    ): array {
        $steps = [];
        foreach (OrderOfWork::of($request?->state, $order?->state) as $step => $state) {
            $steps[] = new StepRow(
                $step,
                $state->value,
                $state->value === 'now' ? self::missing($request, $order, $checks, $handovers, $tasks, $judged) : [],
            );
        }

        return $steps;
    }

    private static function whoDecides(ChangeRequest $request, ?PathPicture $path): string
    {
        return match (true) {
            $path === null => 'Approve it, reject it or send it back.',
            $request->actors->isNotEmpty() => $request->actors->pluck('name')->join(', ', ' or ') . ' signs, sends it back or rejects it.',
            $path->waits_for !== [] => 'It waits for ' . collect($path->waits_for)->join(', ', ' and ') . '.',
            $path->stage === null => 'No step of its path is needed: choose another path for it, or one decision.',
            default => 'Nobody can sign it: its path says why.',
        };
    }

    /** @param  Collection<int, ChangeTask>  $tasks */
    private static function whoJudges(ChangeOrder $order, Collection $tasks): string
    {
        $ofPath = $order->actors->isEmpty() ? OrderProgress::path($order)->tasks : [];
        $awaited = $tasks->filter(
            static fn(ChangeTask $task): bool => $task->state->isOpen() &&
                $task->path_id === $order->path_id &&
                ($ofPath[$task->path_place ?? -1] ?? null)?->holdsStage() === true,
        );

        return match (true) {
            $order->actors->isNotEmpty() => $order->actors->pluck('name')->join(', ', ' or ') . ' signs or sends it back.',
            $awaited->isNotEmpty() => "It waits for {$awaited->pluck('title')->join(', ', ' and ')}.",
            default => 'Nobody can sign it: its path says why.',
        };
    }

    /**
     * @param  list<Check>  $checks
     * @param  Collection<int, Handover>  $handovers
     * @param  Collection<int, ChangeTask>  $tasks
     * @return list<string>
     */
    private static function missing(
        ?ChangeRequest $request,
        ?ChangeOrder $order,
        array $checks,
        Collection $handovers,
        Collection $tasks,
        ?JudgedRequest $judged,
    ): array {
        $unmet = array_values(
            array_map(
                static fn(Check $check): string => $check->reason,
                array_filter($checks, static fn(Check $check): bool => $check->stops()),
            ),
        );

        return match ($order?->state) {
            null => match ($request?->state) {
                RequestState::Raised => ['Record the finding.'],
                RequestState::Assessing => [self::whoDecides($request, $judged?->path)],
                RequestState::Returned => ["Sent back: {$request->decision_reason}"],
                RequestState::Gathered => ["Gathered into {$request->gatheredInto?->number}."],
                default => ['Turn it into an order.'],
            },
            OrderState::Planning => $unmet === [] ? ['Open the items for revision.'] : $unmet,
            OrderState::Revising => $unmet === [] ? ['Send it to review.'] : $unmet,
            OrderState::InReview => [self::whoJudges($order, $tasks)],
            OrderState::Signed => $unmet === [] ? ['Release it.'] : $unmet,
            OrderState::Released => self::beforeClosing($order, $handovers, $tasks),
            default => [],
        };
    }

    /**
     * @param  Collection<int, Handover>  $handovers
     * @param  Collection<int, ChangeTask>  $tasks
     * @return list<string>
     */
    private static function beforeClosing(ChangeOrder $order, Collection $handovers, Collection $tasks): array
    {
        $told = $handovers->where('kind', 'release')->where('state', '!=', 'taken')->map(
            static fn(Handover $handover): string => match ($handover->state) {
                'waiting' => "{$handover->name} is on its way to planning.",
                'unanswered' => "Planning has not answered {$handover->name}.",
                default => "Planning rejected entries of {$handover->name}.",
            },
        );
        $open = $tasks->filter(static fn(ChangeTask $task): bool => $task->change === $order->number && $task->state->isOpen());
        $missing = [
            ...$told,
            ...$open->isEmpty() ? [] : ["Tasks not done: {$open->pluck('number')->implode(', ')}."],
            ...array_filter([PlanningDifference::leftOf($order->id), OldDocument::leftOf($order->id)]),
        ];

        return $missing === [] ? ['Close the order.'] : array_values($missing);
    }
}
