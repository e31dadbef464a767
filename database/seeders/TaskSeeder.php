<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\CutIn\Models\CutIn;
use App\Dossier\Tasks\MakeCutInTasks;
use App\Orders\Actions\EditStructure;
use App\Orders\Actions\PutOnHold;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Tasks\Actions\MakeTasks;
use App\Tasks\Actions\MoveTask;
use App\Tasks\Actions\WorkOnTask;
use App\Tasks\Assignee;
use App\Tasks\Models\ChangeTask;
use App\Tasks\PlannedTask;
use App\Tasks\TaskKind;
use App\Vocabulary\Priority;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\ReplaceComponent;

/** Tasks in every state: open, claimed, overdue, waiting for others, done and withdrawn; and an order on hold. */
final class TaskSeeder extends Seeder
{
    public function run(): void
    {
        $mira = self::person('mira.okafor');
        $regulator = ChangeOrder::orders()->where('title', 'Voltage regulator reaches end of life')->firstOrFail();
        $cutIn = CutIn::query()
            ->where('request_id', $regulator->requests()->firstOrFail()->id)
            ->latest('id')
            ->firstOrFail();
        app(MakeCutInTasks::class)($mira, $regulator->number, $cutIn->id, [
            ...array_fill_keys(array_column($cutIn->to_do, 'kind'), 'group:purchasing'),
            'release' => 'mira.okafor',
            'cut_in' => 'mira.okafor',
        ]);
        [$layout, $outline, $instruction, $training, $extra] = $this->make($mira, $regulator->number, [
            new PlannedTask(
                to: Assignee::named('edda.roth'),
                kind: TaskKind::Design,
                title: 'New footprint on both boards',
                text: 'The small outline turns by ninety degrees; keep the test points.',
                dueOn: self::day(-3),
                priority: Priority::High,
                estimateHours: 16,
                checks: ['Controller board', 'Display board', 'Test points unchanged'],
            ),
            new PlannedTask(
                to: Assignee::named('group:weir_engineering'),
                kind: TaskKind::Drawing,
                title: 'Outline drawing of the regulator',
                dueOn: self::day(10),
                estimateHours: 4,
            ),
            new PlannedTask(
                to: Assignee::named('group:document_control'),
                kind: TaskKind::Documents,
                title: 'Test specification names the new regulator',
                dueOn: self::day(20),
                checks: ['Limits of the 5 V rail', 'Declaration of conformity looked through'],
            ),
            new PlannedTask(to: Assignee::named('samir.bello'), kind: TaskKind::Training, title: 'Show the line how to solder it'),
            new PlannedTask(to: Assignee::named('group:purchasing'), kind: TaskKind::Purchasing, title: 'Ask for a second source'),
            new PlannedTask(
                to: Assignee::named('group:purchasing'),
                kind: TaskKind::Purchasing,
                title: 'Confirm the last-time buy with the maker',
                text: 'Quantity as in the cut-in plan; delivery in two lots.',
                dueOn: self::day(6),
                priority: Priority::High,
            ),
        ]);
        $this->waits($training, $layout);
        $edda = self::person('edda.roth');
        app(WorkOnTask::class)->tick($edda, $layout, 0, true);
        app(WorkOnTask::class)->comment($edda, $layout, 'The display board waits for the new outline drawing; two days more.');
        app(MoveTask::class)->claim(self::person('nils.aarden'), $instruction);
        app(MoveTask::class)->claim(self::person('jonas.weir'), $outline);
        app(MoveTask::class)->finish(self::person('jonas.weir'), $outline, 'Drawn after the data sheet of the maker.');
        app(MoveTask::class)->withdraw($mira, $extra, 'The maker has a second plant.');
        $this->powerBoard($regulator->number);
        $this->onHold();
    }

    /** A part of the order that another edits than who edits the order. */
    private function powerBoard(string $order): void
    {
        $this->make(self::person('mira.okafor'), $order, [
            new PlannedTask(
                to: Assignee::named('jonas.weir'),
                kind: TaskKind::Design,
                title: 'Power board takes the new regulator',
                dueOn: self::day(5),
                estimateHours: 6,
                checks: ['Heat looked at'],
                subjects: [new Subject(Subject::ENGINEERING, '300-0020')],
            ),
        ]);
        $edits = [
            new ReplaceComponent((new ChangeStory())->line('300-0020', '310-0002'), [
                'component' => '310-0003',
                'notes' => 'small outline',
            ]),
            new ChangeLine((new ChangeStory())->line('300-0020', '710-0005'), ['quantity' => '0.25']),
        ];
        foreach ($edits as $edit) {
            app(EditStructure::class)->make(self::person('jonas.weir'), $order, '300-0020', $edit, PHP_INT_MAX);
        }
    }

    /** An order that waits for something that nobody here can hurry. */
    private function onHold(): void
    {
        $story = new ChangeStory();
        $request = $story
            ->on(30)
            ->request(
                'petra.quist',
                'Battery strap from another supplier',
                'cost_saving',
                'supplier',
                'Tarn',
                'low',
                'The new supplier makes it for half the price.',
                ['400-0005'],
            );
        $story->on(28)->assess($request, 'Same strap, other weave.');
        $story->decide($request, RequestState::Approved, 'Worth a try.');
        $order = $story->on(26)->order($request);
        $story->plan($order, 'jonas.weir', 'helen.marsh', 90);
        $story->backToToday();
        app(PutOnHold::class)->hold(
            self::person('mira.okafor'),
            $order,
            'The sample of the supplier is late; expected in three weeks.',
            (int) ChangeOrder::query()->where('number', $order)->value('version'),
        );
    }

    /**
     * @param  list<PlannedTask>  $planned
     * @return list<string>
     */
    private function make(Person $by, string $change, array $planned): array
    {
        return app(MakeTasks::class)($by, $change, $planned);
    }

    private function waits(string $task, string $for): void
    {
        $tasks = ChangeTask::query()
            ->whereIn('number', [$task, $for])
            ->get()
            ->keyBy('number');
        MakeTasks::keepWaits($tasks[$task], [$for]);
    }

    private static function person(string $login): Person
    {
        return Person::query()->where('login', $login)->firstOrFail();
    }

    private static function day(int $ahead): string
    {
        return CarbonImmutable::today()->addDays($ahead)->toDateString();
    }
}
