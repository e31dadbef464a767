<?php

declare(strict_types=1);

namespace App\Notices;

use App\Assessment\Events\QuestionAsked;
use App\Assessment\Events\QuestionHandedOn;
use App\ChangeNotices\Models\NoticeCopy;
use App\Discussion\Events\CommentAdded;
use App\Discussion\Models\Comment;
use App\Dossier\Needs;
use App\Dossier\UndoneTasks;
use App\FollowThrough\DocumentsLeft;
use App\Ledger\Act;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Problems\Models\ProblemReport;
use App\Releases\Models\Handover;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Tasks\Events\TaskCommented;
use App\Tasks\Models\ChangeTask;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Notice\Audience;
use Orthotaxis\Core\Notice\Cause;
use Orthotaxis\Core\Notice\Mentions;

/** Who is told of something that happened to a change, and why: those who have to act, who are named, who take part, who watch. */
final readonly class WhoIsTold
{
    /** @return array<int, Cause> by id of the person */
    public function of(ToldAct $told, Act $act, ProblemReport|ChangeRequest|ChangeOrder|Item $change): array
    {
        $people = Person::query()->where('active', true)->get()->keyBy('login');
        if ($told->isAddressed()) {
            return self::addressed($act, $people);
        }
        $task = $told->isOfTask()
            ? ChangeTask::whole()
                ->where('number', $act->details()['task'] ?? '')
                ->first()
            : null;
        $named = $act instanceof TaskCommented || $act instanceof CommentAdded ? Mentions::in($act->text) : [];
        $causes = [
            Cause::ToDo->value => $task === null ? self::toDo($told, $act, $change, $people) : self::toDoOf($told, $task),
            Cause::Mentioned->value => $people->whereIn('login', $named)->pluck('id')->values()->all(),
            Cause::TakesPart->value => match (true) {
                $task !== null => self::partOfTask($task),
                $act instanceof CommentAdded => [...self::partOf($change), ...self::discussing($change->number)],
                default => self::partOf($change),
            },
            // Of single tasks only those are told whose tasks they are.
            Cause::Watches->value => $task === null ? self::watching($change, $told->isOfItems()) : [],
        ];
        $active = $people->pluck('id')->flip();

        return Audience::of(
            $people->get($act->by())?->id,
            array_map(static fn(array $ids): array => array_values(array_filter($ids, $active->has(...))), $causes),
        );
    }

    /**
     * @param  Collection<string, Person>  $people  by sign-in name
     * @return array<int, Cause>
     */
    private static function addressed(Act $act, Collection $people): array
    {
        $ids = array_values(
            $people->whereIn('login', (array) ($act->details()['to'] ?? []))->map(static fn(Person $one): int => $one->id)->all(),
        );
        $asked = array_values(
            NoticeCopy::waiting()
                ->whereRelation('notice.order', 'number', $act->of())
                ->whereIn('person_id', $ids)
                ->get()
                ->map(static fn(NoticeCopy $one): int => $one->person_id)
                ->all(),
        );

        return Audience::of($people->get($act->by())?->id, [Cause::ToDo->value => $asked, Cause::Informed->value => $ids]);
    }

    /**
     * @param  Collection<string, Person>  $people  by sign-in name
     * @return list<int>
     */
    private static function toDo(ToldAct $told, Act $act, ProblemReport|ChangeRequest|ChangeOrder|Item $change, Collection $people): array
    {
        if ($act instanceof QuestionAsked || $act instanceof QuestionHandedOn) {
            return $people
                ->filter(static fn(Person $one): bool => $one->login === $act->to || in_array($act->to, $one->roles, true))
                ->pluck('id')
                ->values()
                ->all();
        }
        if (!$told->givesWork() || $change instanceof Item) {
            return [];
        }
        $needs = match (true) {
            $change instanceof ProblemReport => static fn(Person $one): ?string => Needs::ofReport($change, $one),
            $change instanceof ChangeRequest => static fn(Person $one): ?string => Needs::ofRequest($change->loadMissing('actors'), $one),
            default => self::needsOf($change),
        };
        $ids = $people->filter(static fn(Person $one): bool => $needs($one) !== null)->pluck('id')->values()->all();

        // Whoever was asked to sign when it began to be judged is not asked again with each signature.
        $began = match ($told) {
            ToldAct::OrderSigned, ToldAct::OrderMovedOn => ToldAct::OrderSentToReview,
            ToldAct::RequestSigned, ToldAct::RequestMovedOn => ToldAct::RequestAssessed,
            default => null,
        };

        return $began === null ? $ids : array_values(array_diff($ids, self::askedAlready($change->number, $began)));
    }

    /** @return \Closure(Person): ?string */
    private static function needsOf(ChangeOrder $order): \Closure
    {
        $order->load(['actors', 'parent']);
        $handovers = Handover::query()
            ->where('order_id', $order->id)
            ->get(['id', 'order_id', 'state']);
        $undone = UndoneTasks::of([$order->number]);
        $left = DocumentsLeft::of([$order->id])[$order->id] ?? null;

        return static fn(Person $one): ?string => Needs::ofOrder($order, $handovers, $undone, $left, $one);
    }

    /** @return list<int> who has been asked to sign since the change began to be judged last */
    private static function askedAlready(string $change, ToldAct $began): array
    {
        return DB::table('notice_readers')
            ->join('notices', 'notices.id', 'notice_id')
            ->where('change', $change)
            ->where('cause', Cause::ToDo->value)
            ->where('notices.id', '>=', DB::table('notices')->where('change', $change)->where('act', $began->value)->max('id') ?? 0)
            ->pluck('person_id')
            ->map(static fn(mixed $id): int => (int) $id)
            ->values()
            ->all();
    }

    /** @return list<int> */
    private static function toDoOf(ToldAct $told, ChangeTask $task): array
    {
        return in_array($told, [ToldAct::TaskDone, ToldAct::TaskCommented], true) ? [] : self::assigned($task);
    }

    /** @return list<int> */
    private static function assigned(ChangeTask $task): array
    {
        return $task->person_id === null ? array_values($task->group?->active() ?? []) : [$task->person_id];
    }

    /** @return list<int> */
    private static function partOfTask(ChangeTask $task): array
    {
        return [$task->made_by, ...$task->holder_id === null ? self::assigned($task) : [$task->holder_id]];
    }

    /** @return list<int> */
    private static function partOf(ProblemReport|ChangeRequest|ChangeOrder|Item $change): array
    {
        if ($change instanceof Item) {
            return [];
        }
        if (!($change instanceof ChangeOrder)) {
            return [$change->raised_by, ...$change instanceof ChangeRequest ? self::signersOf($change) : []];
        }
        $requests = $change->requests()->with('reports')->get();

        return DB::table('people_of_orders')
            ->where('order_id', $change->id)
            ->pluck('person_id')
            ->merge($requests->pluck('raised_by'))
            ->merge($requests->flatMap(static fn(ChangeRequest $one): array => $one->reports->pluck('raised_by')->all()))
            ->map(static fn(mixed $id): int => (int) $id)
            ->values()
            ->all();
    }

    /** @return list<int> */
    private static function signersOf(ChangeRequest $request): array
    {
        /** @var list<int> */
        return $request->signatures()->where('meaning', 'signed')->reorder()->distinct()->pluck('person_id')->all();
    }

    /** @return list<int> */
    private static function discussing(string $subject): array
    {
        return Comment::query()
            ->where('subject', $subject)
            ->distinct()
            ->pluck('person_id')
            ->map(static fn(mixed $id): int => (int) $id)
            ->values()
            ->all();
    }

    /** @return list<int> of the change, of what it came from, and of the items that it names */
    private static function watching(ProblemReport|ChangeRequest|ChangeOrder|Item $change, bool $ofItems): array
    {
        $numbers = [$change->number];
        $requests = match (true) {
            $change instanceof ChangeOrder => $change->requests()->with('reports')->get(),
            $change instanceof ChangeRequest => (new Collection([$change]))->load('reports'),
            default => new Collection(),
        };
        foreach ($requests as $request) {
            $numbers = [...$numbers, $request->number, ...$request->reports->pluck('number')->all()];
        }

        if ($ofItems) {
            array_push($numbers, ...self::named($change));
        }

        return DB::table('watches')
            ->whereIn('change', $numbers)
            ->pluck('person_id')
            ->map(static fn(mixed $id): int => (int) $id)
            ->values()
            ->all();
    }

    /** @return list<string> numbers of the items of a change */
    private static function named(ProblemReport|ChangeRequest|ChangeOrder|Item $change): array
    {
        $ids = match (true) {
            $change instanceof ChangeRequest => DB::table('change_request_items')->where('request_id', $change->id)->pluck('item_id'),
            $change instanceof ChangeOrder => DB::table('change_order_items')->where('order_id', $change->id)->pluck('item_id'),
            default => collect(),
        };

        /** @var list<string> */
        return Item::query()->whereIn('id', $ids)->pluck('number')->all();
    }
}
