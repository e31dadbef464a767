<?php

declare(strict_types=1);

namespace App\Dossier\Tasks;

use App\CutIn\Models\CutIn;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Tasks\Actions\MakeTasks;
use App\Tasks\Assignee;
use App\Tasks\PlannedTask;
use App\Tasks\TaskKind;
use App\Vocabulary\Priority;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\ToDoKind;
use Orthotaxis\Core\Refusal;

/** Makes tasks of what has to be done by when for a chosen cut-in day, each once; what nobody is chosen for is left out. */
final readonly class MakeCutInTasks
{
    public function __construct(private MakeTasks $tasks) {}

    /**
     * @param  string  $change  the request for which the day was chosen, or an order that it went into
     * @param  array<string, string>  $to  kind of what is to be done => whom it is for, as Assignee names it
     * @return list<string> numbers of the tasks
     *
     * @throws Refusal when all of it is a task already, or nobody is chosen
     */
    public function __invoke(Person $by, string $change, int $cutIn, array $to): array
    {
        $chosen = CutIn::query()->findOrFail($cutIn);
        $this->mustBelong($chosen, $change);
        $planned = [];
        $assignees = [];
        foreach ($to as $kind => $name) {
            $assignees[$kind] = Assignee::named($name, "to.{$kind}");
        }
        foreach ($chosen->to_do as $row) {
            $assignee = $assignees[$row['kind']] ?? null;
            if ($assignee !== null) {
                $planned[] = new PlannedTask(
                    to: $assignee,
                    kind: self::kind(ToDoKind::from($row['kind'])),
                    title: self::title($row),
                    text: $row['for'] === null ? '' : 'Needed, or due, on ' . Day::parse($row['for'])->spelled() . '.',
                    dueOn: $row['by'],
                    priority: Priority::Normal,
                    source: "cut-in {$cutIn} {$row['kind']} {$row['plant']} {$row['document']} {$row['item']}",
                );
            }
        }
        if ($planned === []) {
            throw Refusal::at('to', 'Choose who does at least one of them.');
        }
        $made = ($this->tasks)($by, $change, $planned);

        return $made === [] ? throw Refusal::at('to', 'All of them are tasks already.') : $made;
    }

    private static function kind(ToDoKind $kind): TaskKind
    {
        return match ($kind) {
            ToDoKind::Order, ToDoKind::LastOrder, ToDoKind::Hurry, ToDoKind::Cancel, ToDoKind::Ask => TaskKind::Purchasing,
            ToDoKind::Tooling => TaskKind::Manufacturing,
            default => TaskKind::Planning,
        };
    }

    /** @param  array{plant: string, what: string, item: string, document: string, quantity: string, unit: string}  $row */
    private static function title(array $row): string
    {
        $amount = $row['quantity'] === '' ? '' : "{$row['quantity']} {$row['unit']}";
        $what = array_filter([$row['what'], $amount, $row['item'], $row['document']], static fn(string $word): bool => $word !== '');

        return mb_substr(implode(' ', $what) . ($row['plant'] === '' ? '' : ", {$row['plant']}"), 0, 200);
    }

    /** Ends with 404 when the day was chosen for another change. */
    private function mustBelong(CutIn $chosen, string $change): void
    {
        $request = ChangeRequest::query()->findOrFail($chosen->request_id);
        $belongs = $request->number === $change || $request->orders()->where('number', $change)->exists();
        $belongs || abort(404);
    }
}
