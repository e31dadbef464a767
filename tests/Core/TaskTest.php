<?php

declare(strict_types=1);

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Task\Task;
use Orthotaxis\Core\Task\TaskState;
use Orthotaxis\Core\Task\Waits;

const PETRA = 1;
const OMAR = 2;
const MIRA = 9;

/** @param  list<string>  $unticked @param  list<string>  $waitsFor */
function buying(?int $holder = null, array $unticked = [], array $waitsFor = []): Task
{
    return Task::kept($holder === null ? TaskState::Open : TaskState::Claimed, [PETRA, OMAR], $holder, $unticked, $waitsFor);
}

it('is on the lists of all of a group until one of them claims it', function (): void {
    $task = Task::for([PETRA, OMAR], true);
    expect([$task->needs(PETRA), $task->needs(OMAR), $task->needs(MIRA)])->toBe([true, true, false]);
    $hers = $task->claim(PETRA);
    expect([$hers->needs(PETRA), $hers->needs(OMAR), $hers->holder])->toBe([true, false, PETRA]);
    $back = $hers->handBack(MIRA, true);
    expect([$back->needs(OMAR), $back->claim(OMAR)->holder])->toBe([true, OMAR]);
});

it('is had at once by the one person that it is for', function (): void {
    $task = Task::for([PETRA], false);
    expect([$task->state, $task->holder])->toBe([TaskState::Claimed, PETRA]);
    expect(fn() => $task->handBack(PETRA, false))->toThrow(Refusal::class, 'Hand it on');
});

it('is for somebody', function (): void {
    expect(fn() => Task::for([], true))->toThrow(Refusal::class, 'Nobody is in this group.');
});

it('refuses what a person may not do with it', function (Closure $act, string $why): void {
    expect($act)->toThrow(Refusal::class, $why);
})->with([
    'claims what is claimed' => [fn() => buying(PETRA)->claim(OMAR), 'claimed it already'],
    'claims for a group of others' => [fn() => buying()->claim(MIRA), 'a group that you are not in'],
    'claims what is done' => [
        fn() => buying(PETRA)
            ->finish(PETRA)
            ->claim(OMAR),
        'done or withdrawn',
    ],
    'hands back what another has' => [fn() => buying(PETRA)->handBack(OMAR, false), 'Somebody else has it'],
    'hands on what nobody has' => [fn() => buying()->handOn(OMAR, false, Task::for([MIRA], false)), 'Nobody has claimed it'],
    'finishes what nobody has' => [fn() => buying()->finish(PETRA), 'Nobody has claimed it'],
    'finishes what another has' => [fn() => buying(PETRA)->finish(OMAR), 'Somebody else has it'],
    'finishes before all is ticked' => [fn() => buying(PETRA, ['Price asked'])->finish(PETRA), 'Not ticked yet: Price asked.'],
    'finishes before its turn' => [fn() => buying(PETRA, [], ['Draw the tube'])->finish(PETRA), 'It waits for Draw the tube.'],
    'withdraws what is done' => [
        fn() => buying(PETRA)
            ->finish(PETRA)
            ->withdraw(),
        'done or withdrawn',
    ],
    'reopens what is open' => [fn() => buying()->reopen(), 'open already'],
]);

it('is handed on with what is done of it', function (): void {
    $task = buying(PETRA, ['Price asked'])->handOn(PETRA, false, Task::for([MIRA], false));
    expect([$task->holder, $task->unticked])->toBe([MIRA, ['Price asked']]);
    // Who manages tasks hands on what nobody has claimed.
    expect(buying()->handOn(MIRA, true, Task::for([OMAR], false))->holder)->toBe(OMAR);
});

it('goes back to who had it when it is to be done after all', function (): void {
    expect(
        buying(PETRA)
            ->finish(PETRA)
            ->reopen()->holder,
    )
        ->toBe(PETRA)
        ->and(buying()->withdraw()->reopen()->state)
        ->toBe(TaskState::Open);
});

it('does not wait for itself, over whichever others', function (): void {
    $waits = (new Waits([]))->add(2, [1])->add(3, [2]);
    expect(fn() => $waits->add(1, [3]))
        ->toThrow(Refusal::class, 'wait for itself')
        ->and(fn() => $waits->add(1, [1]))
        ->toThrow(Refusal::class)
        // What it waited for before is replaced.
        ->and($waits->add(2, [])->add(1, [3]))
        ->toBeInstanceOf(Waits::class);
});

it('has one holder while it is claimed, none while it is open, whatever is done', function (int $seed): void {
    mt_srand($seed);
    $task = mt_rand(0, 1) === 0 ? Task::for([PETRA, OMAR], true) : Task::for([PETRA], false);
    for ($act = 0; $act < 60; $act++) {
        $by = [PETRA, OMAR, MIRA][mt_rand(0, 2)];
        try {
            $task = match (mt_rand(0, 5)) {
                0 => $task->claim($by),
                1 => $task->handBack($by, mt_rand(0, 1) === 0),
                2 => $task->handOn($by, mt_rand(0, 1) === 0, mt_rand(0, 1) === 0 ? Task::for([OMAR, MIRA], true) : Task::for([$by], false)),
                3 => $task->finish($by),
                4 => $task->withdraw(),
                default => $task->reopen(),
            };
        } catch (Refusal) {
            continue;
        }
        expect($task->state === TaskState::Open ? $task->holder === null : $task->state !== TaskState::Claimed || $task->holder !== null)
            ->toBeTrue()
            ->and(count(array_filter([PETRA, OMAR, MIRA], $task->isHeldBy(...))))
            ->toBe($task->state === TaskState::Claimed ? 1 : 0)
            // Open, somebody can claim it: it waits for nobody never.
            ->and($task->state !== TaskState::Open || array_filter([PETRA, OMAR, MIRA], $task->mayClaim(...)) !== [])
            ->toBeTrue();
    }
})->with(range(1, 25));

it('is given back only where somebody else could claim it', function (array $people, int $holder, bool $is): void {
    $task = Task::kept(TaskState::Claimed, $people, $holder, [], []);
    expect($task->hasOthers())->toBe($is);
    $try = static fn(): Task => $task->handBack($holder, false);
    $is ? expect($try()->state)->toBe(TaskState::Open) : expect($try)->toThrow(Refusal::class, 'Hand it on');
})->with([
    'one of a group' => [[PETRA, OMAR], PETRA, true],
    'the only one of a group' => [[PETRA], PETRA, false],
    'one who has left the group' => [[OMAR], PETRA, true],
    'one of a group that is empty now' => [[], PETRA, false],
]);
