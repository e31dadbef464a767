<?php

declare(strict_types=1);

namespace App\Desk;

use App\Assessment\Models\Question;
use App\ChangeNotices\Models\NoticeCopy;
use App\CutIn\Models\CutIn;
use App\CutIn\Models\CutInCheck;
use App\Desk\Data\DeskPage;
use App\Desk\Data\DeskTask;
use App\Desk\Data\StageCount;
use App\Dossier\Needs;
use App\Dossier\UndoneTasks;
use App\FollowThrough\DocumentsLeft;
use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use App\People\Rights;
use App\Problems\Models\ProblemReport;
use App\Releases\Models\Handover;
use App\Requests\Models\ChangeRequest;
use App\Tasks\Models\ChangeTask;
use App\Vocabulary\ChangeRow;
use App\Vocabulary\Priority;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Change\WorkStep;
use Orthotaxis\Core\Report\ReportState;
use Orthotaxis\Core\Task\TaskState;

/** Finds what needs one person now, from what they may do and what names them. */
final readonly class DeskReader
{
    private const NEWEST = 12;

    public function read(Person $person): DeskPage
    {
        $requests = ChangeRequest::query()
            ->with(['raisedBy', 'actors'])
            ->whereNotIn('state', RequestState::closed())
            ->latest('raised_at')
            ->get();
        $orders = ChangeOrder::orders()
            ->with(['author', 'actors', 'parent'])
            ->whereNotIn('state', OrderState::ended())
            ->latest('raised_at')
            ->get();

        $handovers = Handover::query()
            ->whereIn('order_id', $orders->modelKeys())
            ->get(['id', 'order_id', 'state'])
            ->groupBy('order_id');
        $reports = ProblemReport::query()->with('raisedBy')->whereIn('state', ReportState::open())->latest('raised_at')->get();
        app(Rights::class)->look($person->roles, $reports, $requests, $orders);
        $tasks = [];
        foreach ($reports as $report) {
            $todo = Needs::ofReport($report, $person);
            if ($todo !== null) {
                $tasks[] = new DeskTask($todo, $report->row(), ($report->settled_at ?? $report->raised_at)->toIso8601String());
            }
        }
        foreach (self::questions($person) as $question) {
            $tasks[] = new DeskTask(
                "Answer about {$question->item->number}: " . Str::limit($question->text, 60),
                $question->request->row(),
                $question->asked_at->toIso8601String(),
                $question->due_on,
            );
        }
        foreach ($requests as $request) {
            $todo = Needs::ofRequest($request, $person);
            if ($todo !== null) {
                $tasks[] = new DeskTask($todo, $request->row(), ($request->decided_at ?? $request->raised_at)->toIso8601String());
            }
        }
        foreach ($person->mayDo(Ability::PlanOrder) ? self::badDays($orders) : [] as [$order, $check]) {
            if (!$person->mayDo(Ability::PlanOrder, $order->number)) {
                continue;
            }
            $best = $check->best_on === null ? 'no day is possible' : 'best is now ' . Day::parse($check->best_on)->spelled();
            $tasks[] = new DeskTask("Cut-in day no longer good: {$best}", $order->row(), $check->checked_at->toIso8601String());
        }
        $undone = UndoneTasks::of(array_values($orders->map(static fn(ChangeOrder $one): string => $one->number)->all()));
        $left = DocumentsLeft::of($orders->modelKeys(), $person);
        foreach ($orders as $order) {
            $todo = Needs::ofOrder($order, $handovers[$order->id] ?? new Collection(), $undone, $left[$order->id] ?? null, $person);
            if ($todo !== null) {
                $tasks[] = new DeskTask(
                    $todo,
                    $order->row(),
                    ($order->released_at ?? ($order->sent_to_review_at ?? $order->raised_at))->toIso8601String(),
                    ($left[$order->id] ?? null)?->dueOn,
                );
            }
        }
        array_push($tasks, ...self::tasks($person, [...$reports, ...$requests, ...$orders]));
        array_push($tasks, ...self::unread($person));
        usort(
            $tasks,
            static fn(DeskTask $a, DeskTask $b): int => [Priority::from($a->change->priority)->rank(), $a->since] <=> [
                Priority::from($b->change->priority)->rank(),
                $b->since,
            ],
        );

        $rows = [
            ...$reports->map(static fn(ProblemReport $one): ChangeRow => $one->row())->all(),
            ...$requests->map(static fn(ChangeRequest $one): ChangeRow => $one->row())->all(),
            ...$orders->map(static fn(ChangeOrder $one): ChangeRow => $one->row())->all(),
        ];
        $newest = $requests->map(static fn(ChangeRequest $one): ChangeRow => $one->row())->values()->all();
        usort(
            $newest,
            static fn(ChangeRow $a, ChangeRow $b): int => [Priority::from($a->priority)->rank(), $b->raised_at] <=> [
                Priority::from($b->priority)->rank(),
                $a->raised_at,
            ],
        );
        $critical = $person->mayDo(Ability::WatchCritical)
            ? array_filter(
                $rows,
                static fn(ChangeRow $row): bool => $row->priority === Priority::Critical->value &&
                    in_array($row->type, ['report', 'request'], true),
            )
            : [];

        return new DeskPage(
            array_values($critical),
            $tasks,
            array_slice($newest, 0, self::NEWEST),
            count($newest),
            self::stages(array_values($rows)),
        );
    }

    /**
     * Tasks that this person has, or may claim.
     *
     * @param  list<ProblemReport|ChangeRequest|ChangeOrder>  $known  changes that are read already
     * @return list<DeskTask>
     */
    private static function tasks(Person $person, array $known): array
    {
        $all = ChangeTask::needing($person)->orderBy('id')->get();
        $changes = collect($known)->keyBy('number');
        $ordered = ChangeRequest::query()
            ->with('raisedBy')
            ->whereIn('number', $all->pluck('change')->diff($changes->keys()))
            ->get()
            ->keyBy('number');
        $tasks = [];
        foreach ($all as $task) {
            $change = $changes[$task->change] ?? ($ordered[$task->change] ?? null);
            if ($change !== null) {
                $tasks[] = new DeskTask(
                    ($task->state === TaskState::Open ? 'Claim: ' : '') . $task->title,
                    $change->row(),
                    $task->made_at->toIso8601String(),
                    $task->due_on,
                    $task->number,
                );
            }
        }

        return $tasks;
    }

    /** @return list<DeskTask> change notices that this person has to acknowledge, of orders that are closed by now too */
    private static function unread(Person $person): array
    {
        return array_values(
            NoticeCopy::waiting()
                ->where('person_id', $person->id)
                ->with(['notice.order.author', 'notice.order.actors'])
                ->orderBy('notice_id')
                ->get()
                ->map(
                    static fn(NoticeCopy $copy): DeskTask => new DeskTask(
                        "Acknowledge {$copy->notice->number}",
                        $copy->notice->order->row(),
                        $copy->sent_at->toIso8601String(),
                        $copy->due_on,
                        $copy->notice->number,
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  Collection<int, ChangeOrder>  $orders
     * @return list<array{ChangeOrder, CutInCheck}> those that are not out yet, whose chosen cut-in day is not good any more
     */
    private static function badDays(Collection $orders): array
    {
        $waiting = $orders->filter(static fn(ChangeOrder $order): bool => $order->state !== OrderState::Released);
        $checks = CutInCheck::query()
            ->join('cut_ins', 'cut_ins.id', 'cut_in_id')
            ->join('change_order_requests', 'change_order_requests.request_id', 'cut_ins.request_id')
            ->whereIn('order_id', $waiting->modelKeys())
            ->where('fault', '!=', '')
            ->whereIn('cut_ins.id', CutIn::query()->selectRaw('max(id)')->groupBy('request_id'))
            ->get(['cut_in_checks.*', 'order_id']);

        return array_values(
            $checks
                ->map(static fn(CutInCheck $check): array => [$waiting->firstOrFail('id', $check->getAttribute('order_id')), $check])
                ->all(),
        );
    }

    /** @return Collection<int, Question> that this person, or one of a role that they have, is asked */
    private static function questions(Person $person): Collection
    {
        return Question::needing($person)
            ->with(['item', 'request.raisedBy'])
            ->whereHas('request', static function (Builder $request): void {
                $request->whereNotIn('state', RequestState::closed());
            })
            ->orderBy('due_on')
            ->get();
    }

    /**
     * @param  list<ChangeRow>  $rows
     * @return list<StageCount>
     */
    private static function stages(array $rows): array
    {
        return array_map(static function (WorkStep $step) use ($rows): StageCount {
            $at = array_filter($rows, static fn(ChangeRow $row): bool => $row->step === $step->value);

            return new StageCount(
                $step->value,
                count($at),
                count(array_filter($at, static fn(ChangeRow $row): bool => $row->priority === Priority::Critical->value)),
            );
        }, WorkStep::cases());
    }
}
