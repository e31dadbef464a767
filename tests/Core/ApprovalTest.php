<?php

declare(strict_types=1);

use Orthotaxis\Core\Approval\Condition;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\PathAct;
use Orthotaxis\Core\Approval\PathStep;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\Roster;
use Orthotaxis\Core\Approval\StepRun;
use Orthotaxis\Core\Refusal;

const ADA = 1;
const BEN = 2;
const CEM = 3;
const DORA = 4;
const EMIL = 5;
const FAY = 6;

/** Reviewers are Ada, Ben and Cem, quality is Dora, the board Emil and Fay. */
function roster(array $away = [], array $people = []): Roster
{
    return new Roster(
        $people + ['group:reviewers' => [ADA, BEN, CEM], 'group:quality' => [DORA], 'group:board' => [EMIL, FAY], 'role:signer' => [DORA]],
        $away,
    );
}

/** Two of the reviewers and quality side by side, then all of the board from 5,000 on, then one of the board. */
function longPath(): Path
{
    return new Path([
        new PathStep('Review', 1, ['group:reviewers'], 2),
        new PathStep('Quality', 1, ['group:quality'], 1),
        new PathStep('Money', 2, ['group:board'], 0, conditions: [new Condition(Fact::OneTimeCost, ['5000'])], backTo: [0, 1]),
        new PathStep('Approval', 3, ['group:board'], 1, backTo: [0, 1, 2]),
    ]);
}

/** @param  list<PathAct>  $acts */
function gone(array $acts, ?Facts $facts = null, ?Roster $roster = null, array $proposers = [], ?Path $path = null): Progress
{
    return Progress::of(
        $path ?? longPath(),
        $facts ?? new Facts(['one_time_cost' => ['6000']]),
        $roster ?? roster(),
        $acts,
        $proposers,
        true,
    );
}

/** @return list<string> */
function standings(Progress $progress): array
{
    return array_map(static fn(StepRun $step): string => $step->standing->value, $progress->steps);
}

it('goes stage by stage, steps of one stage side by side, each person counted once', function (
    array $acts,
    array $standings,
    array $acting,
): void {
    expect(standings(gone($acts)))->toBe($standings)->and(gone($acts)->acting())->toBe($acting);
})->with([
    'nothing yet' => [[], ['now', 'now', 'ahead', 'ahead'], [ADA, BEN, CEM, DORA]],
    'one of two' => [[PathAct::signed(0, BEN)], ['now', 'now', 'ahead', 'ahead'], [ADA, CEM, DORA]],
    'the same twice' => [[PathAct::signed(0, BEN), PathAct::signed(0, BEN)], ['now', 'now', 'ahead', 'ahead'], [ADA, CEM, DORA]],
    'two of three' => [[PathAct::signed(0, BEN), PathAct::signed(0, ADA)], ['done', 'now', 'ahead', 'ahead'], [DORA]],
    'both of the stage' => [
        [PathAct::signed(1, DORA), PathAct::signed(0, BEN), PathAct::signed(0, ADA)],
        ['done', 'done', 'now', 'ahead'],
        [EMIL, FAY],
    ],
    'one of all' => [
        [PathAct::signed(1, DORA), PathAct::signed(0, BEN), PathAct::signed(0, ADA), PathAct::signed(2, EMIL)],
        ['done', 'done', 'now', 'ahead'],
        [FAY],
    ],
    'to the end' => [
        [
            PathAct::signed(1, DORA),
            PathAct::signed(0, BEN),
            PathAct::signed(0, ADA),
            PathAct::signed(2, EMIL),
            PathAct::signed(2, FAY),
            PathAct::signed(3, FAY),
        ],
        ['done', 'done', 'done', 'done'],
        [],
    ],
]);

it('leaves out a step whose condition does not hold, also when it stops holding on the way', function (): void {
    $first = [PathAct::signed(1, DORA), PathAct::signed(0, BEN), PathAct::signed(0, ADA)];
    expect(standings(gone($first)))
        ->toBe(['done', 'done', 'now', 'ahead'])
        ->and(standings(gone($first, new Facts(['one_time_cost' => ['4999.99']]))))
        ->toBe(['done', 'done', 'not_needed', 'now'])
        // A saving of 6,000 is as large as a cost; what nobody knows counts as large.
        ->and(standings(gone($first, new Facts(['one_time_cost' => ['-6000']]))))
        ->toBe(['done', 'done', 'now', 'ahead'])
        ->and(standings(gone($first, new Facts())))
        ->toBe(['done', 'done', 'now', 'ahead']);
    // It begins to hold when the path is past it: the path goes back to it.
    $past = [...$first, PathAct::signed(3, FAY)];
    expect(gone($past, new Facts(['one_time_cost' => ['10']]))->isDone())
        ->toBeTrue()
        ->and(gone($past)->isDone())
        ->toBeFalse()
        ->and(gone($past)->stage)
        ->toBe(2);
});

it('holds where the change has one of some values', function (): void {
    $condition = Condition::read(Fact::Plant, ['Weir', 'Holm'], 'steps.0');
    expect($condition->holds(new Facts(['plant' => ['Tarn', 'Weir']])))
        ->toBeTrue()
        ->and($condition->holds(new Facts(['plant' => ['Tarn']])))
        ->toBeFalse()
        ->and(fn() => Condition::read(Fact::Plant, [], 'steps.0'))
        ->toThrow(Refusal::class)
        ->and(fn() => Condition::read(Fact::OneTimeCost, ['much'], 'steps.0'))
        ->toThrow(Refusal::class);
});

it('goes back to a stage, and what was signed from there on counts no more', function (): void {
    $acts = [
        PathAct::signed(1, DORA),
        PathAct::signed(0, BEN),
        PathAct::signed(0, ADA),
        PathAct::signed(2, EMIL),
        PathAct::signed(2, FAY),
        PathAct::sentBack(3, 2),
    ];
    // A step that was skipped is to be signed after all.
    expect(standings(gone([PathAct::skipped(1), PathAct::sentBack(0, 1)]))[1])->toBe('now');
    expect(standings(gone($acts)))
        ->toBe(['done', 'done', 'now', 'ahead'])
        ->and(gone($acts)->acting())
        ->toBe([EMIL, FAY])
        ->and(standings(gone([...$acts, PathAct::sentBack(2, 1)])))
        ->toBe(['now', 'now', 'ahead', 'ahead'])
        ->and(gone([...$acts, PathAct::sentBack(2, PathStep::EDITOR)])->steps[0]->signed)
        ->toBe([]);
});

it('lets a stand-in sign for who is away, and counts them once', function (): void {
    // Ben is away and Cem stands in: Cem is in the step himself, so one more is needed.
    $roster = roster([BEN => CEM]);
    expect(gone([], roster: $roster)->steps[0]->acting)
        ->toBe([ADA => ADA, CEM => CEM])
        ->and(gone([PathAct::signed(0, CEM)], roster: $roster)->steps[0]->acting)
        ->toBe([ADA => ADA])
        ->and(gone([PathAct::signed(0, CEM), PathAct::signed(0, CEM, BEN)], roster: $roster)->steps[0]->lacking)
        ->toBe(1);
    // Dora is away; Fay stands in, is away herself, and Emil stands in for her.
    $away = roster([DORA => FAY, FAY => EMIL]);
    expect(gone([], roster: $away)->steps[1]->acting)
        ->toBe([EMIL => DORA])
        ->and(gone([], roster: $away)->signable(EMIL))
        ->toBe([1 => DORA])
        ->and(standings(gone([PathAct::signed(1, EMIL, DORA)], roster: $away))[1])
        ->toBe('done');
});

it('says when it waits for nobody', function (Roster $roster, array $stuck): void {
    expect(gone([], roster: $roster)->stuck())->toBe($stuck);
})->with([
    'a group without members' => [roster(people: ['group:quality' => []]), ['Nobody can sign “Quality”.']],
    'away without a stand-in' => [roster([DORA => null]), ['Nobody can sign “Quality”.']],
    'a chain of stand-ins that comes back to its beginning' => [
        roster([DORA => EMIL, EMIL => DORA]),
        ['Nobody can sign “Quality”.', '“Money” needs 2 more signatures, and only 1 can sign.'],
    ],
    'all of them, and one stands in for another' => [roster([EMIL => FAY]), ['“Money” needs 2 more signatures, and only 1 can sign.']],
    'too few of them' => [roster(people: ['group:reviewers' => [ADA]]), ['“Review” needs 2 more signatures, and only 1 can sign.']],
    'enough' => [roster(), []],
]);

it('does not count who proposed the change, not even as a stand-in', function (): void {
    expect(gone([], proposers: [ADA, BEN])->stuck())
        ->toBe(['“Review” needs 2 more signatures, and only 1 can sign.'])
        ->and(gone([], roster: roster([DORA => ADA]), proposers: [ADA])->stuck())
        ->toContain('Nobody can sign “Quality”.');
});

it('goes on when somebody is deactivated while it is their turn, or the step is given to others, or skipped', function (): void {
    $before = [PathAct::signed(0, ADA), PathAct::signed(0, BEN), PathAct::signed(1, DORA), PathAct::signed(2, EMIL)];
    // Of all of the board Fay is gone: Emil has signed, and nobody else is left.
    $without = roster(people: ['group:board' => [EMIL]]);
    expect(standings(gone($before, roster: $without)))
        ->toBe(['done', 'done', 'done', 'now'])
        ->and(gone([PathAct::reassigned(1, ['group:board'])])->steps[1]->acting)
        ->toBe([EMIL => EMIL, FAY => FAY])
        ->and(standings(gone([PathAct::skipped(1)]))[1])
        ->toBe('skipped');
});

it('refuses a path that cannot be gone', function (Closure $path, string $why): void {
    expect($path)->toThrow(Refusal::class, $why);
})->with([
    'two steps of one name' => [
        fn() => new Path([new PathStep('A', 1, ['x']), new PathStep('A', 2, ['x'])]),
        'Another step has this name.',
    ],
    'a stage left out' => [fn() => new Path([new PathStep('A', 1, ['x']), new PathStep('B', 3, ['x'])]), 'No step is in stage 2.'],
    'sent back to what comes later' => [fn() => new PathStep('A', 1, ['x'], backTo: [1]), 'sends back to a stage before its own'],
]);

it('asks the one signer of an order, while it is in review', function (): void {
    $at = static fn(bool $inReview, PathAct ...$acts): Progress => Progress::of(
        Path::oneSigner(),
        new Facts(),
        roster(),
        array_values($acts),
        [],
        $inReview,
    );
    expect([$at(true)->acting(), $at(false)->acting(), $at(true)->awaits(ADA), $at(true, PathAct::signed(0, DORA))->isDone()])->toBe([
        [DORA],
        [],
        false,
        true,
    ]);
});

it('is the same whatever order independent signatures come in, and never over without those it requires', function (int $seed): void {
    $random = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $acts = [];
    // As many signatures as somebody can give, in an order by chance.
    for ($i = 0; $i < 12 && !gone($acts)->isDone(); $i++) {
        $progress = gone($acts);
        $acting = $progress->acting();
        expect($acting)->not->toBe([]);
        $by = $acting[$random->getInt(0, count($acting) - 1)];
        $can = $progress->signable($by);
        $step = array_rand($can);
        $acts[] = PathAct::signed($step, $by, $can[$step]);
    }
    $done = gone($acts);
    expect($done->isDone())->toBeTrue();
    foreach ($done->steps as $at => $step) {
        expect(count(array_unique($step->signed)))->toBeGreaterThanOrEqual($step->step->needed === 0 ? 2 : $step->step->needed);
        // Without any one of the signatures it needed, it is not over.
        $less = array_values(array_filter($acts, static fn(PathAct $act): bool => $act->step !== $at));
        expect(gone($less)->isDone())->toBeFalse();
    }
    expect(standings(gone($random->shuffleArray($acts))))->toBe(standings($done));
})->with(range(1, 30));

/** Quality signs; then purchasing does what it has to; then one of the board signs. */
function pathWithTasks(): Path
{
    return new Path(
        [new PathStep('Quality', 1, ['group:quality'], 1), new PathStep('Approval', 3, ['group:board'], 1, backTo: [0, 1])],
        [
            new PathTask(0, 'design', 'Draw it', 'role:editor'),
            new PathTask(1, 'documents', 'Read the instructions', 'group:quality'),
            new PathTask(2, 'purchasing', 'Ask for a price', 'group:buyers'),
            new PathTask(2, 'training', 'Think of the line', 'group:buyers', holds: false),
            new PathTask(null, 'training', 'Show the line', 'group:buyers'),
        ],
    );
}

it('waits at a stage for what has to be done in it, also where nobody signs', function (
    array $acts,
    array $over,
    ?int $stage,
    array $waitsFor,
    array $acting,
): void {
    $progress = Progress::of(pathWithTasks(), new Facts(), roster(), $acts, [], true, $over);
    expect($progress->stage)
        ->toBe($stage)
        ->and(array_map(static fn(PathTask $task): string => $task->title, $progress->waitsFor))
        ->toBe($waitsFor)
        ->and($progress->acting())
        ->toBe($acting);
})->with([
    'nothing yet' => [[], [], 1, ['Read the instructions'], [DORA]],
    'signed, not read' => [[PathAct::signed(0, DORA)], [], 1, ['Read the instructions'], []],
    'read, not signed' => [[], [1], 1, [], [DORA]],
    'both' => [[PathAct::signed(0, DORA)], [1], 2, ['Ask for a price'], []],
    'the price is there' => [[PathAct::signed(0, DORA)], [1, 2], 3, [], [EMIL, FAY]],
    'all is done, but what holds nothing' => [[PathAct::signed(0, DORA), PathAct::signed(1, FAY)], [1, 2], null, [], []],
    'what is done early does not count for a stage before' => [[], [2], 1, ['Read the instructions'], [DORA]],
]);

it('is the same whatever the order in which tasks and signatures come', function (): void {
    $states = [];
    foreach ([[1, 2], [2, 1]] as $over) {
        $progress = Progress::of(pathWithTasks(), new Facts(), roster(), [PathAct::signed(0, DORA)], [], true, $over);
        $states[] = [$progress->stage, standings($progress), $progress->acting()];
    }
    expect($states[0])->toBe($states[1]);
});

it('ends with a signature, edits before review only, and has no empty stage', function (Closure $path, string $place): void {
    try {
        $path();
    } catch (Refusal $refusal) {
        expect(array_key_first($refusal->reasons))->toBe($place);

        return;
    }
    expect(true)->toBeFalse();
})->with([
    'a task after the last signature' => [
        fn() => new Path([new PathStep('Approval', 1, ['group:board'], 1)], [new PathTask(2, 'design', 'Late', 'ada')]),
        'tasks.0.stage',
    ],
    'an edit in review' => [fn() => new PathTask(1, 'design', 'Late', 'ada', edits: ['engineering']), 'edits'],
    'a stage in which only something is done that holds nothing' => [
        fn() => new Path([new PathStep('Approval', 2, ['group:board'], 1)], [new PathTask(1, 'design', 'Beside', 'ada', holds: false)]),
        'steps',
    ],
]);

it('asks whoever signs to tick its check list first', function (): void {
    $step = new PathStep('Quality', 1, ['group:quality'], 1, checks: ['Limits', 'Labels']);
    expect(fn() => $step->mustBeTicked(['Labels']))->toThrow(Refusal::class, 'Not ticked yet: Limits.');
    $step->mustBeTicked(['Labels', 'Limits', 'More']);
});
