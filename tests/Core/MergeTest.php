<?php

declare(strict_types=1);

use Orthotaxis\Core\Content\Choice;
use Orthotaxis\Core\Content\Conflict;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Merge;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\ItemData\SetField;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Manufacturing\OnRecord;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\ChangeOperation;
use Orthotaxis\Core\Routing\OperationReader;
use Orthotaxis\Core\Routing\RemoveOperation;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;
use Random\Randomizer;
use Tests\Core\Support\Make;

/** @param  list<array<string, string>>  $operations  by key "a", "b" … in their order */
function way(Structure $structure, array $operations = [], string $batch = '1', array $records = []): ManufacturingContent
{
    return new ManufacturingContent(
        $structure,
        $records,
        new Routing(
            array_map(
                static fn(array $fields) => (new OperationReader())->read(
                    $fields['key'],
                    array_diff_key($fields, ['key' => 1]) + ['title' => "Do {$fields['key']}", 'work_centre' => 'PUMP'],
                ),
                $operations,
            ),
            Quantity::parse($batch),
        ),
    );
}

/** @return list<string> what a coordinator reads of conflicts */
function conflicts(Merge $merge): array
{
    return array_map(
        static fn(Conflict $one): string => trim("{$one->called} {$one->field}") . ": {$one->before} | {$one->mine} | {$one->theirs}",
        $merge->conflicts,
    );
}

beforeEach(function (): void {
    $this->base = new EngineeringContent(Make::pumpHead());
    $this->newer = fn(Edit ...$edits): EngineeringContent => $this->base->edited($edits);
});

it('keeps what touches other things, and names what touches the same, with what was and both that are', function (): void {
    $newer = ($this->newer)(new ChangeLine('clamp', ['quantity' => '4']), new RemoveLine('screw'));
    $merge = Merge::of($this->base, $newer, [
        new ChangeLine('clamp', ['quantity' => '3', 'notes' => 'twist']),
        new ChangeLine('screw', ['quantity' => '8']),
    ]);
    expect(conflicts($merge))->toBe(['line 60 200-0042 quantity: 2 | 3 | 4', 'line 70 600-0014:  | Quantity 8 | Line taken out']);
    expect(fn() => $merge->resolved())->toThrow(
        fn(Refusal $refusal) => expect(array_keys($refusal->reasons))
            ->toBe(['clamp.quantity', 'screw'])
            ->and($refusal->reasons['clamp.quantity'])
            ->toBe('Line 60 200-0042, quantity: changed in both. Choose whose is kept.'),
    );
    $theirs = $merge->resolved(['clamp.quantity' => Choice::Theirs, 'screw' => Choice::Theirs]);
    expect($theirs)->toEqual([new ChangeLine('clamp', ['notes' => 'twist']), null]);
    $after = $newer->edited(array_filter($theirs))->structure;
    expect([(string) $after->line('clamp')?->quantity, $after->line('clamp')?->notes, $after->line('screw')])->toBe(['4', 'twist', null]);
    // A line that is gone comes back where mine is kept.
    $both = $newer->edited(array_filter($merge->resolved(['clamp.quantity' => Choice::Mine, 'screw' => Choice::Mine])))->structure;
    expect((string) $both->line('screw')?->quantity)->toBe('8');
});

it('takes for a conflict a quantity that was meant for the part that they replaced', function (): void {
    $newer = ($this->newer)(new ReplaceComponent('tube', ['component' => '200-0041', 'quantity' => '0.6']));
    $mine = new ChangeLine('tube', ['quantity' => '0.8']);
    $merge = Merge::of($this->base, $newer, [$mine]);
    expect(conflicts($merge))
        ->toBe(['line 50 200-0040:  | Quantity 0.8 | Replaced by 200-0041'])
        ->and($newer->edited(array_filter($merge->resolved(['tube' => Choice::Mine])))->structure->line('tube'))
        ->component->toBe('200-0041')
        ->quantity->toEqual(Quantity::parse('0.8'));
});

it('brings back what they took out where mine is kept, as I have it', function (): void {
    $base = new EngineeringContent(Make::pumpHead());
    $newer = new EngineeringContent(Make::pumpHead()->without('clamp'));
    $mine = [new ChangeLine('clamp', ['quantity' => '3']), new ChangeLine('clamp', ['notes' => 'tight'])];
    $merge = Merge::of($base, $newer, $mine);
    [$conflict] = $merge->conflicts;
    $edits = array_values(array_filter($merge->resolved([$conflict->key() => Choice::Mine])));
    $clamp = $newer->edited($edits)->structure->line('clamp');
    expect($edits)
        ->toHaveCount(1)
        ->and([(string) $clamp?->quantity, $clamp?->notes, $clamp?->find])
        ->toBe(['3', 'tight', 60])
        ->and(array_filter($merge->resolved([$conflict->key() => Choice::Theirs])))
        ->toBe([]);
});

it('sees no conflict where both did the same, however it was typed, and what was done last counts', function (): void {
    $newer = ($this->newer)(new ChangeLine('clamp', ['quantity' => '4', 'notes' => 'theirs']), new RemoveLine('screw'));
    $merge = Merge::of($this->base, $newer, [
        new ChangeLine('clamp', ['quantity' => '5']),
        new ChangeLine('clamp', ['quantity' => '4.0']),
        new RemoveLine('screw'),
        new ChangeLine('tube', ['notes' => 'mine']),
    ]);
    expect($merge->conflicts)
        ->toBe([])
        ->and($merge->resolved())
        ->toEqual([null, null, null, new ChangeLine('tube', ['notes' => 'mine'])]);
});

it('takes a line that came back under another identity for the same line', function (): void {
    $base = Make::pumpHead();
    $newer = new EngineeringContent(
        $base->without('clamp')->with(Make::line('clamp-2', 60, '200-0042', '2', notes: 'from the other side')),
    );
    $resolved = Merge::of($this->base, $newer, [
        new ChangeLine('clamp', ['quantity' => '4']),
        new ChangeLine('clamp', ['designators' => 'C1, C2, C3, C4']),
    ])->resolved();
    $after = $newer->edited(array_filter($resolved))->structure->line('clamp-2');
    expect([(string) $after?->quantity, $after?->notes, $after?->designators])->toBe(['4', 'from the other side', 'C1, C2, C3, C4']);
    expect(conflicts(Merge::of($this->base, $newer, [new ChangeLine('clamp', ['notes' => 'mine'])])))->toBe([
        'line 60 200-0042 notes:  | mine | from the other side',
    ]);
});

it('merges operations, records and batches of what a plant builds', function (): void {
    $at = static fn(string $operation): Structure => new Structure([
        Make::line('s', 10, '600-0014', '4')->with(['operation' => $operation]),
    ]);
    $base = way($at('10'), [['key' => 'a', 'number' => '10', 'run' => '2'], ['key' => 'b', 'number' => '20']], '5');
    $newer = way($at('15'), [['key' => 'a', 'number' => '15', 'run' => '3'], ['key' => 'b', 'number' => '20']], '8', [
        OnRecord::leftOut('x', 'Theirs.'),
    ]);
    $merge = Merge::of($base, $newer, [
        new ChangeOperation('a', ['run' => '4', 'set_up' => '1']),
        ...$base->editsTo(
            way($at('10'), [['key' => 'a', 'number' => '10', 'run' => '2'], ['key' => 'b', 'number' => '20']], '6', [
                OnRecord::leftOut('x', 'Mine.'),
            ]),
        ),
        new RemoveOperation('b'),
    ]);
    expect(conflicts($merge))->toBe([
        'operation 10 Do a run: 2 | 4 | 3',
        'what is on record:  | left out on record: Mine. | left out on record: Theirs.',
        'the batch:  | Batch of 6 | Batch of 8',
    ]);
    $resolved = $merge->resolved(['a.run' => Choice::Mine, 'x' => Choice::Mine, 'batch' => Choice::Theirs]);
    $after = $newer->edited(array_filter($resolved));
    expect((string) $after->routing->operations['a']->run)
        ->toBe('4')
        ->and($after->routing->operations['a']->number)
        ->toBe(15)
        ->and([$after->records['x']->reason, (string) $after->routing->batch, count($after->routing)])
        ->toBe(['Mine.', '8', 1]);
});

it('merges data of an item field by field', function (): void {
    $cost = DataField::of('standard_cost');
    $merge = Merge::of(new ItemData(['standard_cost' => '2']), new ItemData(['standard_cost' => '3', 'supplier' => 'Aasen']), [
        new SetField($cost, '4'),
        new SetField(DataField::of('supplier'), 'Aasen'),
    ]);
    expect(conflicts($merge))
        ->toBe(['standard cost:  | Standard cost to 4 | Standard cost to 3'])
        ->and($merge->resolved(['standard_cost' => Choice::Mine]))
        ->toEqual([new SetField($cost, '4'), null]);
});

it('becomes any other way to build by edits, each of which fits', function (): void {
    $random = static function (Randomizer $random): ManufacturingContent {
        $keys = $random->shuffleArray(['a', 'b', 'c', 'd']);
        $operations = [];
        foreach (array_slice($keys, 0, $random->getInt(0, 4)) as $at => $key) {
            $operations[] = ['key' => $key, 'number' => (string) (10 + 10 * $at), 'run' => (string) $random->getInt(0, 3)];
        }
        $lines = array_map(static function (Line $line) use ($operations, $random): Line {
            $operation = $operations === [] ? '' : $operations[$random->getInt(0, count($operations) - 1)]['number'];

            return $line->with(['operation' => $operation]);
        }, Make::structure($random)->lines);

        return way(
            new Structure($lines),
            $operations,
            (string) $random->getInt(1, 3),
            $random->getInt(0, 1) === 1 ? [OnRecord::leftOut('x', "Because {$random->getInt(0, 2)}.")] : [],
        );
    };
    Make::many(static function (Randomizer $r) use ($random): void {
        [$a, $b] = [$random($r), $random($r)];
        $became = $a->edited($a->editsTo($b));
        expect($became->since($b)->count())
            ->toBe(0)
            ->and($a->editsTo($a))
            ->toBe([]);
        // What nobody else touched is merged as it is.
        expect(Merge::of($a, $a, $a->editsTo($b))->conflicts)->toBe([]);
    });
});

it('says the same of some parts as of all, to whoever asks about these', function () {
    Make::many(static function (Randomizer $random): void {
        [$base, $newer] = [new EngineeringContent(Make::structure($random)), new EngineeringContent(Make::structure($random))];
        $all = $base->editsTo($newer);
        $keys = array_map(strval(...), array_keys($base->structure->lines));
        $asked = array_slice($keys, 0, $random->getInt(0, count($keys)));
        $of = static fn(array $edits): array => array_values(
            array_filter($edits, static fn(Edit $one): bool => in_array($one->part(), $asked, true)),
        );
        expect($of($base->editsTo($newer, $asked)))->toEqual($of($all));
    });
});
