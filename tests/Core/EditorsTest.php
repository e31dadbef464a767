<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Readiness\Check;
use Orthotaxis\Core\Readiness\Readiness;
use Orthotaxis\Core\Readiness\TasksBeforeReviewAreDone;
use Orthotaxis\Core\Task\Editors;
use Orthotaxis\Core\Task\TaskBeforeReview;
use Orthotaxis\Core\Task\TaskState;
use Tests\Core\Support\Make;

const MARA = 2;
const SAMIR = 5;
const TESS = 6;

function atWeir(): Subject
{
    return new Subject(Subject::MANUFACTURING, '200-0010', 'Weir');
}

function gasketAtWeir(TaskState $state = TaskState::Claimed, ?int $holder = SAMIR, string $number = 'T-00012'): TaskBeforeReview
{
    return new TaskBeforeReview(12, $number, 'Gasket at Weir', $state, $holder, [atWeir()]);
}

it('lets the editor edit all of the order, and who has a task what that task edits', function (): void {
    $editors = new Editors(MARA, [gasketAtWeir()]);
    $engineering = new Subject(Subject::ENGINEERING, '200-0010');
    $atTarn = new Subject(Subject::MANUFACTURING, '200-0010', 'Tarn');
    expect([$editors->mayEdit(MARA, $engineering), $editors->mayEdit(MARA, atWeir()), $editors->mayEdit(MARA)])
        ->toBe([true, true, true])
        ->and([$editors->mayEdit(SAMIR, atWeir()), $editors->mayEdit(SAMIR)])
        ->toBe([true, true])
        ->and([$editors->mayEdit(SAMIR, $engineering), $editors->mayEdit(SAMIR, $atTarn)])
        ->toBe([false, false])
        ->and([$editors->mayEdit(TESS, atWeir()), $editors->mayEdit(TESS)])
        ->toBe([false, false]);
});

it('ends with the task', function (TaskState $state, ?int $holder): void {
    $editors = new Editors(MARA, [gasketAtWeir($state, $holder)]);
    expect([$editors->mayEdit(SAMIR), $editors->mayEdit(SAMIR, atWeir()), $editors->taskOf(SAMIR, atWeir())])->toBe([false, false, null]);
})->with([
    'not claimed yet' => [TaskState::Open, null],
    'another has it' => [TaskState::Claimed, TESS],
    'done' => [TaskState::Done, SAMIR],
    'withdrawn' => [TaskState::Withdrawn, SAMIR],
]);

it('knows under which task an edit is made', function (): void {
    $editors = new Editors(MARA, [gasketAtWeir(TaskState::Done), gasketAtWeir(number: 'T-00013'), gasketAtWeir(number: 'T-00014')]);
    expect($editors->taskOf(SAMIR, atWeir())?->number)
        ->toBe('T-00013')
        ->and($editors->taskOf(MARA, atWeir()))
        ->toBeNull()
        ->and($editors->taskOf(SAMIR, new Subject(Subject::ENGINEERING, '200-0010')))
        ->toBeNull();
});

it('names all who edit or edited, of whom none signs', function (): void {
    $tasks = [
        gasketAtWeir(),
        gasketAtWeir(TaskState::Done, TESS),
        gasketAtWeir(TaskState::Withdrawn, 7),
        gasketAtWeir(TaskState::Open, null),
    ];
    expect((new Editors(MARA, $tasks))->people())
        ->toBe([MARA, SAMIR, TESS])
        ->and((new Editors(null))->people())
        ->toBe([])
        ->and(Make::order(tasksBeforeReview: $tasks)->proposers())
        ->toContain(MARA, SAMIR, TESS)
        ->not->toContain(7);
});

it('lets nobody edit by a task that edits nothing', function (): void {
    $task = new TaskBeforeReview(13, 'T-00013', 'Ask the maker', TaskState::Claimed, SAMIR, []);
    $editors = new Editors(MARA, [$task]);
    expect([$editors->mayEdit(SAMIR), $editors->people()])->toBe([false, [MARA]]);
});

it('holds the order back from review until the last of them is done', function (): void {
    $condition = new TasksBeforeReviewAreDone();
    $today = Day::parse('2026-11-29');
    $order = Make::order(tasksBeforeReview: [gasketAtWeir(TaskState::Done), gasketAtWeir(TaskState::Open, null, 'T-00013')]);
    expect($condition->concerns(Make::order()))
        ->toBeFalse()
        ->and($condition->concerns($order))
        ->toBeTrue()
        ->and($condition->fault($order, $today))
        ->toBe('Not done yet: T-00013 Gasket at Weir.')
        ->and($condition->fault(Make::order(tasksBeforeReview: [gasketAtWeir(TaskState::Withdrawn)]), $today))
        ->toBe('');
});

it('holds the release back until what has to be there is done', function (array $open, string $fault): void {
    $order = Make::order(OrderState::Signed, openBeforeRelease: $open);
    $checks = array_column(
        array_map(static fn(Check $one): array => [$one->name, $one->reason], Readiness::forRelease($order, Day::parse('2026-11-29'))),
        1,
        0,
    );
    expect($checks['All tasks before release are done'])->toBe($fault);
    $without = Readiness::forRelease(Make::order(OrderState::Signed), Day::parse('2026-11-29'));
    expect(array_map(static fn(Check $one): string => $one->name, $without))->not->toContain('All tasks before release are done');
})->with([
    'a tool that is not there' => [['T-00014 Gauge for the harder roller'], 'Not done yet: T-00014 Gauge for the harder roller.'],
    'all done' => [[], ''],
]);
