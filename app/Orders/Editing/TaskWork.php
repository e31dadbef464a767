<?php

declare(strict_types=1);

namespace App\Orders\Editing;

use App\Orders\Data\PartChange;
use App\Orders\Data\TaskWorkPage;
use App\Orders\Data\TaskWorkSubject;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\Orders\WorkContents;
use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Tasks\Models\ChangeTask;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Change\Base;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Release\ChangedPart;
use Orthotaxis\Core\Structure\HasLines;

/** What was edited under one task: how each subject would read without it, beside how it reads. */
final readonly class TaskWork
{
    public function __construct(private WorkContents $contents) {}

    public function page(Person $by, string $number): TaskWorkPage
    {
        $task = ChangeTask::query()->where('number', $number)->firstOrFail();
        $order = ChangeOrder::orders()->where('number', $task->change)->first();
        $works = self::of($task);
        if ($order === null || $works->isEmpty()) {
            return new TaskWorkPage([], false, false);
        }
        $subjects = $this->subjects($task, $works);
        $may = TurnTask::refusal($by, $order, $works) === null;
        $edits = $works->flatMap(static fn(WorkRecord $work) => $work->edits->where('task_id', $task->id));

        return new TaskWorkPage(
            $subjects,
            can_undo: $may && $edits->contains(static fn(EditRecord $edit): bool => $edit->withdrawn_at === null),
            can_redo: $may &&
                $edits->contains(static fn(EditRecord $edit): bool => $edit->withdrawn_at !== null && $edit->discarded_at === null),
        );
    }

    /** @return Collection<int, WorkRecord> all to which something was done under a task, with all that was ever done to them */
    public static function of(ChangeTask $task): Collection
    {
        return WorkRecord::query()
            ->with(['edits.author', 'row.item', 'row.order', 'base'])
            ->whereIn('id', EditRecord::query()->select('work_id')->where('task_id', $task->id))
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  Collection<int, WorkRecord>  $works
     * @return list<TaskWorkSubject>
     */
    private function subjects(ChangeTask $task, Collection $works): array
    {
        $read = [];
        foreach ($works as $work) {
            try {
                $without = $this->contents->afterAll([$work], static fn(EditRecord $edit): bool => $edit->task_id !== $task->id);
                $read[$work->id] = Work::on(
                    $work->subject(),
                    new Base(null, null),
                    $without[$work->id],
                    $without[$work->id]->editsTo($this->contents->after($work)),
                );
            } catch (Refusal $refusal) {
                $read[$work->id] = $refusal->getMessage();
            }
        }
        $titles = self::titles($read);

        return array_values(
            $works
                ->map(
                    static fn(WorkRecord $work): TaskWorkSubject => new TaskWorkSubject(
                        item: $work->row->item->number,
                        title: $work->row->item->title,
                        kind: $work->kind,
                        plant: $work->plant,
                        edits: $work->holding()->where('task_id', $task->id)->count(),
                        built_on: $read[$work->id] instanceof Work ? null : $read[$work->id],
                        parts: $read[$work->id] instanceof Work
                            ? array_map(
                                static fn(ChangedPart $part): PartChange => PartChange::of($part, $titles),
                                ChangedPart::of($read[$work->id]),
                            )
                            : [],
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  array<int, Work|string>  $read
     * @return array<string, string> of components, by number
     */
    private static function titles(array $read): array
    {
        $numbers = [];
        foreach ($read as $work) {
            foreach ($work instanceof Work ? [$work->before, $work->after] : [] as $content) {
                array_push($numbers, ...$content instanceof HasLines ? $content->lines()->components() : []);
            }
        }

        /** @var array<string, string> */
        return Item::query()->whereIn('number', array_unique($numbers))->pluck('title', 'number')->all();
    }
}
