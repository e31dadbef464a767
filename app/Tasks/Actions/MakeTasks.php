<?php

declare(strict_types=1);

namespace App\Tasks\Actions;

use App\Ledger\Ledger;
use App\Numbers\NumberRange;
use App\People\Models\Person;
use App\Tasks\ChangesOfTasks;
use App\Tasks\EditingRight;
use App\Tasks\Events\TaskMade;
use App\Tasks\Models\ChangeTask;
use App\Tasks\Models\TaskSubject;
use App\Tasks\PlannedTask;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Task\Waits;

/** Gives people and groups something to do for a change: all of it or nothing. What was made of the same source already is left out. */
final readonly class MakeTasks
{
    public function __construct(private ChangesOfTasks $changes, private NumberRange $numbers, private Ledger $ledger) {}

    /**
     * @param  list<PlannedTask>  $planned
     * @return list<string> numbers of the tasks
     *
     * @throws Refusal when the change has ended
     */
    public function __invoke(Person $by, string $change, array $planned): array
    {
        return $this->ledger->together(function () use ($by, $change, $planned): array {
            $this->changes->holdOpen($change);
            $known = ChangeTask::query()
                ->whereIn('source', array_filter(array_map(static fn(PlannedTask $one): ?string => $one->source, $planned)))
                ->pluck('source')
                ->all();
            $made = [];
            foreach ($planned as $one) {
                if ($one->source !== null && in_array($one->source, $known, true)) {
                    continue;
                }
                $standing = $one->to->task();
                $task = ChangeTask::query()->create([
                    ...$one->columns(),
                    'number' => $this->numbers->next('task'),
                    'change' => $change,
                    'state' => $standing->state,
                    'holder_id' => $standing->holder,
                    'made_by' => $by->id,
                    'made_at' => CarbonImmutable::now(),
                ]);
                self::keepChecks($task, $one->checks);
                self::keepWaits($task, $one->waitsFor);
                $this->keepSubjects($task, $one->subjects);
                EditingRight::check($task, $standing->people, 'to');
                event(new TaskMade($by->login, $change, task: $task->number, title: $task->title, to: $one->to->name(), due: $one->dueOn));
                $made[] = $task->number;
            }

            return $made;
        });
    }

    /** @param  list<string>  $texts  what was ticked stays so */
    public static function keepChecks(ChangeTask $task, array $texts): void
    {
        $before = $task->checks->keyBy('text');
        $task->checks()->delete();
        foreach ($texts as $place => $text) {
            $task->checks()->create([
                'place' => $place,
                'text' => $text,
                'ticked_by' => $before[$text]->ticked_by ?? null,
                'ticked_at' => $before[$text]->ticked_at ?? null,
            ]);
        }
    }

    /**
     * @param  list<string>  $numbers  of tasks of the same change
     *
     * @throws Refusal when one is not, or the task would wait for itself
     */
    public static function keepWaits(ChangeTask $task, array $numbers): void
    {
        $all = ChangeTask::query()->with('waits')->where('change', $task->change)->get();
        $ids = $all->pluck('id', 'number');
        $others = array_map(
            static fn(string $number): int => $ids[$number] ?? throw Refusal::at('waits_for', "{$number} is no task of {$task->change}."),
            $numbers,
        );
        $waits = new Waits($all->mapWithKeys(static fn(ChangeTask $one): array => [$one->id => self::ids($one)])->all());
        $waits->add($task->id, $others);
        $task->waits()->sync($others);
    }

    /**
     * @param  list<Subject>  $subjects
     *
     * @throws Refusal at each that cannot be edited under the change
     */
    public function keepSubjects(ChangeTask $task, array $subjects): void
    {
        $task->subjects()->delete();
        $this->addSubjects($task->unsetRelation('subjects'), $subjects);
    }

    /**
     * What it edits besides; what it edits already stays.
     *
     * @param  list<Subject>  $subjects
     */
    public function addSubjects(ChangeTask $task, array $subjects): void
    {
        $known = $task->subjects->map(static fn(TaskSubject $one): string => (string) $one->subject())->all();
        $new = array_values(array_filter($subjects, static fn(Subject $one): bool => !in_array((string) $one, $known, true)));
        foreach ($this->changes->edited($task->change, $new) as $at => $item) {
            $task->subjects()->create(['item_id' => $item, 'kind' => $new[$at]->kind, 'plant' => $new[$at]->plant]);
        }
    }

    /** @return list<int> */
    private static function ids(ChangeTask $task): array
    {
        return array_values($task->waits->map(static fn(ChangeTask $one): int => $one->id)->all());
    }
}
