<?php

declare(strict_types=1);

use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Manufacturing\Accounted;
use Orthotaxis\Core\Manufacturing\GatherIntoKit;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Manufacturing\PutOnRecord;
use Orthotaxis\Core\Manufacturing\TakeOffRecord;
use Orthotaxis\Core\Manufacturing\TakeOver;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;
use Random\Randomizer;
use Tests\Core\Support\Make;

/** A plant that has taken all of it over, each line at its operation. */
function plantOf(Structure $engineering): Structure
{
    return new Structure(
        array_map(
            static fn(Line $line): Line => new Line(
                key: "at-{$line->key}",
                find: $line->find,
                component: $line->component,
                quantity: $line->quantity,
                unit: $line->unit,
                operation: 10 + 10 * intdiv($line->find, 40),
                takesOver: $line->key,
            ),
            $engineering->lines,
        ),
    );
}

/** @return array<string, list<LineEdit>> */
function suggested(Structure $engineering, Structure $built, array $records = []): array
{
    return TakeOver::of(Accountability::of($engineering, array_values($built->lines), records: $records), $built);
}

/** @param  array<string, list<LineEdit>>  $suggested */
function taken(Structure $built, array $suggested): Structure
{
    $new = 0;
    $edits = array_map(static function (LineEdit $edit) use (&$new, $built): LineEdit {
        // What was added before keeps its key.
        do {
            $key = 'new-' . ++$new;
        } while ($built->line($key) !== null);

        return $edit->part() === '' ? $edit->of($key) : $edit;
    }, array_merge(...array_values($suggested)));

    return (new ManufacturingContent($built))->edited($edits)->structure;
}

it('replaces the component of the line that stands for it, at its operation', function (): void {
    $before = Make::pumpHead();
    $after = $before->with(Make::line('tube', 50, '200-0041', '0.5', Unit::Metre));
    $suggested = suggested($after, plantOf($before));
    expect(array_keys($suggested))->toBe(['tube']);
    $line = taken(plantOf($before), $suggested)->line('at-tube');
    expect($line?->component)->toBe('200-0041')->and($line?->operation)->toBe(20)->and((string) $line?->quantity)->toBe('0.5');
});

it('puts a new line at the operation of the line before it, and lets what is no longer declared go', function (): void {
    $before = Make::pumpHead();
    $after = $before->without('clamp')->with(Make::line('grease', 70, '710-0001', '2', Unit::Gram));
    $built = taken(plantOf($before), suggested($after, plantOf($before)));
    // Find 70 is taken at the plant.
    $grease = $built->line('new-1');
    expect($built->line('at-clamp'))
        ->toBeNull()
        ->and([$grease?->find, $grease?->component, $grease?->operation, $grease?->takesOver])
        ->toBe([71, '710-0001', 20, 'grease']);
});

it('lets the last of the parts take what is more or less, and a kit be', function (): void {
    $screws = static fn(string $quantity): Structure => new Structure([Make::line('screw', 70, '600-0014', $quantity)]);
    $part = static fn(string $key, int $find, string $quantity): Line => Make::line($key, $find, '600-0014', $quantity)->with([
        'takes_over' => 'screw',
    ]);
    $built = new Structure([$part('one', 10, '2'), $part('two', 20, '4')]);
    expect(suggested($screws('8'), $built))
        ->toEqual(['screw' => [new ChangeLine('two', ['quantity' => '6'])]])
        ->and(suggested($screws('3'), $built))
        ->toEqual(['screw' => [new ChangeLine('two', ['quantity' => '1'])]])
        ->and((string) taken($built, suggested($screws('2'), $built))->line('one')?->quantity)
        ->toBe('2');
    $kit = new Structure([Make::line('kit', 10, 'KIT-1', '1')]);
    $of = Accountability::of($screws('8'), array_values($kit->lines), ['KIT-1' => [Make::line('in', 10, '600-0014', '6')]]);
    expect(TakeOver::of($of, $kit))->toBe([]);
});

it('keeps the designators of engineering where one line stands for all of it', function (): void {
    $before = new Structure([Make::line('r', 10, '310-0033', '2', designators: 'R1, R2')]);
    $after = new Structure([Make::line('r', 10, '310-0033', '3', designators: 'R1, R2, R7')]);
    $new = new Structure([Make::line('r', 10, '310-0034', '2', designators: 'R1, R2')]);
    $plant = plantOf($before);
    expect(taken($plant, suggested($after, $plant))->line('at-r')?->designators)
        ->toBe('R1, R2, R7')
        ->and(taken($plant, suggested($new, $plant))->line('at-r')?->designators)
        ->toBe('R1, R2')
        ->and(taken(new Structure(), suggested($new, new Structure()))->line('new-1')?->designators)
        ->toBe('R1, R2');
});

it('brings a plant that had taken all over to an empty list, whatever engineering has changed', function (): void {
    Make::many(static function (Randomizer $random): void {
        $built = plantOf(Make::structure($random));
        $after = Make::structure($random);
        $suggested = suggested($after, $built);
        $of = Accountability::of($after, array_values(taken($built, $suggested)->lines));
        $undecided = array_filter(
            $of->open(),
            static fn(Accounted $line): bool => isset($suggested[$line->line->key]) && $line->why === null,
        );
        expect(array_map(static fn(Accounted $line): string => "{$line->line->key} {$line->rest}", $undecided))->toBe([]);
    });
});

it('keeps on record what is left out or replaced, with its reason, and takes it off again', function (): void {
    $content = new ManufacturingContent(plantOf(Make::pumpHead()));
    $out = $content->edited([new PutOnRecord('screw', ['reason' => 'Fitted at the customer.'])]);
    $other = $out->edited([new PutOnRecord('screw', ['by' => '620-0003', 'new' => '2', 'unit' => 'pc', 'reason' => 'Riveted.'])]);
    expect($out->records['screw']->by)
        ->toBeNull()
        ->and($other->records['screw']->by)
        ->toBe('620-0003')
        ->and(count($out->since($content)))
        ->toBe(1)
        ->and(count($other->since($out)))
        ->toBe(1)
        ->and(count($other->edited([new TakeOffRecord('screw')])->since($content)))
        ->toBe(0)
        ->and($out->told())
        ->not->toBe($content->told())
        ->and($other->told())
        ->not->toBe($out->told());
    expect(fn() => $content->edited([new PutOnRecord('screw', ['reason' => ' '])]))->toThrow(Refusal::class, 'Say why');
    expect(fn() => $content->edited([new TakeOffRecord('screw')]))->toThrow(Refusal::class, 'Nothing is on record');
    $put = new PutOnRecord('screw', ['reason' => 'One.']);
    expect($put->conflictsWith(new TakeOffRecord('screw')))
        ->toBe(['record'])
        ->and($put->conflictsWith(new TakeOffRecord('tube')))
        ->toBe([])
        ->and($put->inWords())
        ->toBe('left out on record: One.');
});

it('takes edits of lines and of records, and nothing else', function (): void {
    $content = new ManufacturingContent();
    $after = $content->edited([
        new AddLine('a', ['find' => '10', 'component' => '600-0014', 'quantity' => '6', 'unit' => 'pc', 'operation' => '20']),
    ]);
    expect($after->structure->line('a')?->operation)
        ->toBe(20)
        ->and(count($after->since($content)))
        ->toBe(1);
    $note = new Tests\Core\Support\Note('x', 'y');
    expect(fn() => $content->edited([$note]))->toThrow(LogicException::class, 'no edit of what a plant builds');
});

/** @param  array<string, string>  $parts */
function takenInto(Structure $engineering, Structure $built, array $parts, string $operation): Structure
{
    return taken($built, [TakeOver::into(Accountability::of($engineering, array_values($built->lines)), $built, $parts, $operation)]);
}

it('takes over by hand, in parts over operations, until nothing is open', function (): void {
    $engineering = Make::pumpHead();
    $screws = Make::pumpHead()->line('screw') ?? throw new LogicException('No screws.');
    $half = takenInto($engineering, new Structure(), ['screw' => '2'], '10');
    $whole = takenInto($engineering, $half, ['screw' => ''], '20');
    $lines = array_map(
        static fn(Line $line): string => "{$line->operation}: {$line->quantity} {$line->component} for {$line->takesOver}",
        array_values($whole->lines),
    );
    $rest = (string) $screws->quantity->minus(Quantity::parse('2'));
    sort($lines);
    expect($lines)
        ->toBe(["10: 2 {$screws->component} for screw", "20: {$rest} {$screws->component} for screw"])
        ->and(
            array_map(
                static fn(Accounted $one): string => $one->line->key,
                Accountability::of($engineering, array_values($whole->lines))->open(),
            ),
        )
        ->not->toContain('screw');
});

it('lets the line that stands for it become what engineering has now, at the operation it is put at', function (): void {
    $before = Make::pumpHead();
    $after = $before->with(Make::line('tube', 50, '200-0041', '0.5', Unit::Metre));
    $now = takenInto($after, plantOf($before), ['tube' => ''], '30');
    $tube = $now->line('at-tube');
    expect([$tube?->component, $tube?->operation, count($now)])->toBe(['200-0041', 30, count($before)]);
});

it('takes over no more than is open, and nothing of what is not', function (string $key, string $part, string $reason): void {
    $engineering = Make::pumpHead();
    $half = takenInto($engineering, new Structure(), ['screw' => '2'], '10');
    expect(fn() => takenInto($engineering, $half, [$key => $part], '10'))->toThrow(
        fn(Refusal $refusal) => expect($refusal->reasons[$key] ?? '')->toContain($reason),
    );
})->with([
    'more than is left' => ['screw', '99', 'of it are open'],
    'nothing' => ['screw', '0', 'more than nothing'],
    'less than nothing' => ['screw', '-1', 'more than nothing'],
    'a word' => ['screw', 'some', ''],
    'what engineering has not' => ['other', '', 'no such line'],
]);

it('leaves nothing open once all is taken over by hand, wherever', function (): void {
    Make::many(static function (Randomizer $random): void {
        $engineering = Make::pumpHead();
        $built = new Structure();
        foreach (
            $random->shuffleArray(
                array_keys(
                    array_column(array_map(static fn(Line $line): array => [$line->key, 1], array_values($engineering->lines)), 1, 0),
                ),
            )
            as $key
        ) {
            $built = takenInto($engineering, $built, [(string) $key => ''], (string) $random->getInt(1, 90));
        }
        expect(Accountability::of($engineering, array_values($built->lines))->open())->toBe([]);
    });
});

it('gathers lines into a kit that goes on standing for them', function (): void {
    $engineering = Make::pumpHead();
    $built = plantOf($engineering);
    $small = ['at-clamp', 'at-screw'];
    $edits = GatherIntoKit::of($built, new Structure(), $small, '200-0900');
    $now = taken($built, [$edits->ofItem]);
    $kit = taken(new Structure(), [$edits->ofKit]);
    expect(
        array_map(
            static fn(Line $line): string => "{$line->find} {$line->quantity} {$line->component} {$line->operation}",
            array_values($now->lines),
        ),
    )
        ->toBe(['10 1 200-0011 10', '50 0.5 200-0040 20', '60 1 200-0900 20'])
        ->and(
            array_map(
                static fn(Line $line): string => "{$line->find} {$line->quantity} {$line->component} {$line->operation} {$line->takesOver}",
                array_values($kit->lines),
            ),
        )
        ->toBe(['60 2 200-0042  clamp', '70 6 600-0014  screw']);
    $of = Accountability::of($engineering, array_values($now->lines), ['200-0900' => array_values($kit->lines)]);
    expect($of->open())->toBe([])->and($of->additions)->toBe([]);
    // More of it later: the kit is there, and gets them as well.
    $more = GatherIntoKit::of($now, $kit, ['at-tube'], '200-0900');
    expect([count($more->ofItem), $more->ofKit[0]->fields()['find']])->toBe([1, '50']);
});

it('makes no kit of what cannot be one', function (array $lines, string $kit, string $place, string $reason): void {
    $built = plantOf(Make::pumpHead())->with(Make::line('two', 90, '200-0901', '2'));
    expect(fn() => GatherIntoKit::of($built, new Structure(), $lines, $kit))->toThrow(
        fn(Refusal $refusal) => expect($refusal->reasons[$place] ?? '')->toContain($reason),
    );
})->with([
    'nothing' => [[], '200-0900', 'lines', 'Choose the lines'],
    'a line that is gone' => [['other'], '200-0900', 'lines', 'not there any more'],
    'two operations' => [['at-housing', 'at-screw'], '200-0900', 'lines', 'at several'],
    'itself' => [['at-screw'], '600-0014', 'kit', 'contain itself'],
    'one that is called for twice' => [['at-screw'], '200-0901', 'kit', 'not once'],
]);
