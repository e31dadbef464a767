<?php

declare(strict_types=1);

namespace App\Dossier\Tasks;

use App\Days\OfficeDays;
use App\Days\Today;
use App\Ledger\Act;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\OrderReader;
use App\Orders\Paths\OrderProgress;
use App\Orders\Paths\RolesOfOrder;
use App\Paths\LeaveTasks;
use App\People\Models\Person;
use App\Tasks\Actions\MakeTasks;
use App\Tasks\Assignee;
use App\Tasks\EditingRight;
use App\Tasks\Models\ChangeTask;
use App\Tasks\PlannedTask;
use App\Tasks\TaskKind;
use App\Vocabulary\ChoiceList;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/**
 * Makes the tasks of the path of an order when their time has come, each once: with opening for revision, with a stage of review, with
 * release. A task for a role that nobody has, or for somebody who is not here any more or may not edit what it edits, is for the editor of
 * the order or whoever raised it: it is not lost, and holds nothing up.
 */
final readonly class MakePathTasks
{
    private const WHEN = [
        'order.planned',
        'order.path_chosen',
        'order.opened',
        'order.sent_to_review',
        'order.signed',
        'order.step_skipped',
        'order.sent_back',
        'order.moved_on',
        'order.goes_on',
        'order.released',
    ];

    /** What else the order changes since then, an editing task of its path edits too. */
    private const NAMED = ['order.item_named', 'order.items_named'];

    public function __construct(private MakeTasks $tasks, private LeaveTasks $leave, private OrderReader $orders) {}

    public function handle(Act $act): void
    {
        if (!in_array($act->name(), [...self::WHEN, ...self::NAMED], true)) {
            return;
        }
        $order = ChangeOrder::orders()
            ->with(['path', 'author', 'editor', 'signer'])
            ->where('number', $act->of())
            ->first();
        if ($order === null) {
            return;
        }
        if (in_array($act->name(), self::NAMED, true)) {
            $this->widen($order, (array) ($act->details()['items'] ?? ($act->details()['item'] ?? [])));

            return;
        }
        // A system that acts for nobody makes them in the name of who raised the order.
        $by = Person::query()->where('login', $act->by())->first() ?? $order->author;
        $this->make($by, $order);
        ($this->leave)($by, $order->number, $order->path_id);
    }

    private function make(Person $by, ChangeOrder $order): void
    {
        $path = $order->path?->path();
        $planned = [];
        foreach ($path === null || $path->tasks === [] ? [] : $this->due($order, $path) as $at => $task) {
            $planned[] = self::planned($order, $task, $at);
        }
        $planned === [] || ($this->tasks)($by, $order->number, $planned);
    }

    /** @param  array<mixed>  $items  numbers, named on the order just now */
    private function widen(ChangeOrder $order, array $items): void
    {
        $path = $order->path?->path();
        if ($path === null || array_filter($path->tasks, static fn(PathTask $task): bool => $task->edits !== []) === []) {
            return;
        }
        $tasks = ChangeTask::openOf($order->number)
            ->with('subjects.item:id,number')
            ->where('path_id', $order->path_id)
            ->orderBy('id')
            ->get();
        foreach ($tasks as $task) {
            $of = $path->tasks[(int) $task->path_place];
            $new = array_filter(self::subjects($order, $of->edits), static fn(Subject $one): bool => in_array($one->item, $items, true));
            $this->tasks->addSubjects($task, array_values($new));
        }
    }

    /** @return array<int, PathTask> whose time has come, made already or not */
    private function due(ChangeOrder $order, Path $path): array
    {
        $stage = match ($order->state) {
            OrderState::Revising => PathTask::BEFORE_REVIEW,
            OrderState::InReview => OrderProgress::of($order, $this->orders->toCore($order)->proposers())->stage ?? PHP_INT_MAX,
            OrderState::Released => null,
            default => -1,
        };

        return array_filter(
            $path->tasks,
            static fn(PathTask $task): bool => $stage === null ? $task->stage === null : $task->stage !== null && $task->stage <= $stage,
        );
    }

    private static function planned(ChangeOrder $order, PathTask $task, int $at): PlannedTask
    {
        $subjects = self::subjects($order, $task->edits);

        return new PlannedTask(
            to: self::assignee($order, $task->to, $subjects !== []),
            kind: TaskKind::from($task->kind),
            title: $task->title,
            dueOn: $task->dueDays === null ? null : (string) OfficeDays::after(Today::day(), $task->dueDays),
            checks: $task->checks,
            source: "path {$order->number} {$order->path_id} {$at}",
            subjects: $subjects,
            beforeReview: $task->holds && $task->stage === PathTask::BEFORE_REVIEW,
            ofPath: [(int) $order->path_id, $at],
        );
    }

    private static function assignee(ChangeOrder $order, string $to, bool $edits): Assignee
    {
        foreach ([...RolesOfOrder::named($order, $to), (string) $order->editor?->login, $order->author->login] as $name) {
            try {
                $assignee = Assignee::named($name);
                if (!$edits || EditingRight::isOf($assignee->task()->people, $order->number)) {
                    return $assignee;
                }
            } catch (Refusal) {
                // Not here any more, or a group without members.
            }
        }

        throw Refusal::at('to', 'Nobody is there who could do what the path asks for.');
    }

    /**
     * @param  list<string>  $kinds
     * @return list<Subject> of the items that change
     */
    private static function subjects(ChangeOrder $order, array $kinds): array
    {
        if ($kinds === []) {
            return [];
        }
        $subjects = [];
        foreach ($order->items()->with('item:id,number')->get() as $row) {
            foreach ($kinds as $kind) {
                if ($row->outcome->mayChange($kind)) {
                    array_push($subjects, ...self::ofItem($row, $kind));
                }
            }
        }

        return $subjects;
    }

    /** @return list<Subject> at every plant, of what plants build */
    private static function ofItem(OrderItem $row, string $kind): array
    {
        if ($kind !== Subject::MANUFACTURING) {
            return [new Subject($kind, $row->item->number)];
        }

        return array_map(
            static fn(string $plant): Subject => new Subject($kind, $row->item->number, $plant),
            array_map(strval(...), array_keys(ChoiceList::Site->names())),
        );
    }
}
