<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Replacement\Heirs;
use Orthotaxis\Core\Replacement\Incoming;
use Orthotaxis\Core\Replacement\Occurrence;
use Orthotaxis\Core\Replacement\Replacement;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;
use Random\Randomizer;
use Tests\Core\Support\Make;

const EFFECTIVE = '2027-01-04';

function incoming(string $component, string $ratio = '1', Unit $unit = Unit::Piece): Incoming
{
    return new Incoming($component, $unit, Quantity::parse($ratio));
}

function heirs(): Heirs
{
    $made = 0;

    return new Heirs(static function () use (&$made): string {
        return 'heir ' . ++$made;
    });
}

/** @return list<Occurrence> */
function occurrences(Structure $structure, Replacement $replacement, ?Heirs $heirs = null): array
{
    return Occurrence::in($structure, $replacement, Day::parse(EFFECTIVE), $heirs ?? heirs());
}

function replaced(Structure $structure, Replacement $replacement, ?Heirs $heirs = null): Structure
{
    return Apply::all(
        $structure,
        array_merge(...array_map(static fn(Occurrence $one): array => $one->edits, occurrences($structure, $replacement, $heirs))),
    );
}

/** @return list<string> the lines of a day as one reads them, sorted: lines of one find number stand in no order */
function readOn(Structure $structure, string $day): array
{
    $lines = array_map(
        static fn(Line $line): string => "{$line->find} {$line->component} {$line->quantity} {$line->unit->value}",
        array_values($structure->on(Day::parse($day))->lines),
    );
    sort($lines);

    return $lines;
}

it('puts another component on the same line', function (): void {
    $after = replaced(Make::pumpHead(), new Replacement('200-0042', Unit::Piece, [incoming('200-0043')]));
    expect($after->line('clamp')?->component)
        ->toBe('200-0043')
        ->and((string) $after->line('clamp')?->quantity)
        ->toBe('2')
        ->and(count($after))
        ->toBe(4);
});

it('drops a fixed revision, which was one of the old component', function (): void {
    $structure = new Structure([Make::line('a', 10, 'OLD', revision: 'C')]);
    expect(replaced($structure, new Replacement('OLD', Unit::Piece, [incoming('NEW')]))->line('a')?->revision)->toBeNull();
});

it('takes two for one, one for two, and never a half', function (): void {
    $two = replaced(Make::pumpHead(), new Replacement('600-0014', Unit::Piece, [incoming('600-0020', '2')]));
    $half = replaced(Make::pumpHead(), new Replacement('600-0014', Unit::Piece, [incoming('600-0020', '0.5')]));
    $none = occurrences(new Structure([Make::line('a', 10, 'OLD', '3')]), new Replacement('OLD', Unit::Piece, [incoming('NEW', '0.5')]));
    expect((string) $two->line('screw')?->quantity)
        ->toBe('12')
        ->and((string) $half->line('screw')?->quantity)
        ->toBe('3')
        ->and($none[0]->edits)
        ->toBe([])
        ->and($none[0]->fault?->reasons['quantity'])
        ->toContain('1.5 pc');
});

it('refuses what is not exact in millionths', function (): void {
    $found = occurrences(
        new Structure([Make::line('a', 10, 'OLD', '0.000001', Unit::Metre)]),
        new Replacement('OLD', Unit::Metre, [incoming('NEW', '0.5', Unit::Metre)]),
    );
    expect($found[0]->fault?->reasons['quantity'])->toContain('no exact quantity');
});

it('counts each item in its own unit where they are counted otherwise', function (): void {
    // Half a metre of tube in a line of 500 mm; three clips take the place of a metre.
    $structure = new Structure([Make::line('a', 10, 'TUBE', '2000', Unit::Millimetre), Make::line('b', 20, 'PAIR', '3', Unit::Pair)]);
    $clips = replaced($structure, new Replacement('TUBE', Unit::Metre, [incoming('CLIP', '3')]));
    $singles = replaced($structure, new Replacement('PAIR', Unit::Pair, [incoming('ONE', '2')]));
    $tube = replaced($structure, new Replacement('TUBE', Unit::Metre, [incoming('HOSE', '1', Unit::Metre)]));
    expect([(string) $clips->line('a')?->quantity, $clips->line('a')?->unit])
        ->toBe(['6', Unit::Piece])
        ->and([(string) $singles->line('b')?->quantity, $singles->line('b')?->unit])
        ->toBe(['6', Unit::Piece])
        ->and([(string) $tube->line('a')?->quantity, $tube->line('a')?->unit])
        ->toBe(['2000', Unit::Millimetre]);
});

it('names each designator once, or says that it cannot', function (): void {
    $structure = new Structure([Make::line('a', 10, 'OLD', '2', designators: 'R1, R2')]);
    $same = replaced($structure, new Replacement('OLD', Unit::Piece, [incoming('NEW'), incoming('PAD', '2')]));
    $more = occurrences($structure, new Replacement('OLD', Unit::Piece, [incoming('NEW', '2')]));
    expect($same->line('a')?->designators)
        ->toBe('R1, R2')
        ->and($same->line('heir 1')?->designators)
        ->toBe('')
        ->and($more[0]->fault?->reasons)
        ->toHaveKey('designators');
});

it('lets several come on free find numbers, and nothing', function (): void {
    $structure = new Structure([Make::line('a', 10, 'OLD', '2'), Make::line('b', 11, 'OTHER')]);
    $several = replaced($structure, new Replacement('OLD', Unit::Piece, [incoming('CAP'), incoming('SEAL', '3')]));
    expect(readOn($several, EFFECTIVE))
        ->toBe(['10 CAP 2 pc', '11 OTHER 1 pc', '12 SEAL 6 pc'])
        ->and(readOn(replaced($structure, new Replacement('OLD', Unit::Piece, [])), EFFECTIVE))
        ->toBe(['11 OTHER 1 pc']);
});

it('ends the old line and begins the new the next day, in one revision', function (): void {
    $structure = new Structure([
        Make::line('through', 10, 'OLD', '2', last: '2027-12-31'),
        Make::line('later', 20, 'OLD', first: '2027-06-01'),
        Make::line('ended', 30, 'OLD', last: '2027-02-28'),
        Make::line('gone', 40, 'OLD', last: '2026-12-31'),
    ]);
    $after = replaced($structure, new Replacement('OLD', Unit::Piece, [incoming('NEW')], Day::parse('2027-03-01')));
    expect(readOn($after, '2027-02-28'))
        ->toBe(['10 OLD 2 pc', '30 OLD 1 pc'])
        ->and(readOn($after, '2027-03-01'))
        ->toBe(['10 NEW 2 pc'])
        ->and(readOn($after, '2027-12-31'))
        ->toBe(['10 NEW 2 pc', '20 NEW 1 pc'])
        ->and(readOn($after, '2028-01-01'))
        ->toBe(['20 NEW 1 pc'])
        ->and($after->line('later')?->component)
        ->toBe('NEW');
});

it('lets a plant take over the line that engineering gets', function (): void {
    $replacement = new Replacement('OLD', Unit::Piece, [incoming('NEW'), incoming('SEAL')], Day::parse('2027-03-01'));
    $built = static fn(string $key, int $operation): Line => Make::line($key, $operation, 'OLD')->with([
        'operation' => (string) $operation,
        'takes_over' => 'engineering',
        'scrap' => '5',
    ]);
    $plant = new Structure([$built('weir 1', 10), $built('weir 2', 20)]);
    $heirs = heirs();
    $engineering = replaced(new Structure([Make::line('engineering', 10, 'OLD', '2')]), $replacement, $heirs);
    $after = replaced($plant, $replacement, $heirs);
    $new = array_filter($after->lines, static fn(Line $line): bool => $line->component === 'NEW');
    $seals = array_filter($after->lines, static fn(Line $line): bool => $line->component === 'SEAL');
    expect(
        array_map(static fn(Line $line): array => [$line->takesOver, $line->operation, $line->text(LineField::Scrap)], array_values($new)),
    )
        ->toBe([['heir 1', 10, '5'], ['heir 1', 20, '5']])
        ->and(array_map(static fn(Line $line): array => [$line->takesOver, $line->text(LineField::Scrap)], array_values($seals)))
        ->toBe([['heir 2', ''], ['heir 2', '']])
        ->and($engineering->line('heir 1')?->component)
        ->toBe('NEW');

    // Engineering stays: what comes stands for the same line.
    $alone = replaced($plant, $replacement);
    expect(array_unique(array_map(static fn(Line $line): string => $line->takesOver, array_values($alone->lines))))->toContain(
        'engineering',
    );
});

it('says what stands there already, and leaves by-products alone', function (): void {
    $structure = new Structure([
        Make::line('a', 10, 'OLD'),
        Make::line('b', 20, 'NEW', '4'),
        Make::line('c', 30, 'NEW', last: '2026-01-01'),
        Make::line('d', 40, 'OLD')->with(['by_product' => 'yes', 'operation' => '10']),
    ]);
    $found = occurrences($structure, new Replacement('OLD', Unit::Piece, [incoming('NEW')]));
    expect($found)
        ->toHaveCount(1)
        ->and(array_map(static fn(Line $line): string => $line->key, $found[0]->beside))
        ->toBe(['b', 'c']);
    $later = occurrences($structure, new Replacement('OLD', Unit::Piece, [incoming('NEW')], Day::parse('2027-03-01')));
    expect(array_map(static fn(Line $line): string => $line->key, $later[0]->beside))->toBe(['b']);
});

it('refuses a replacement that is none', function (array $new): void {
    /** @var list<Incoming> $new */
    try {
        new Replacement('OLD', Unit::Piece, $new);
        $this->fail('It was taken.');
    } catch (Refusal $refusal) {
        expect($refusal->reasons)->toHaveKey('new');
    }
})->with([
    'by itself' => [[incoming('OLD')]],
    'one that comes twice' => [[incoming('A'), incoming('A')]],
]);

it('refuses a ratio of nothing', function (): void {
    incoming('NEW', '0');
})->throws(Refusal::class);

it('gives what was there when it is replaced back, and touches nothing before the day', function (): void {
    Make::many(function (Randomizer $random): void {
        $base = Make::structure($random);
        $components = $base->components();
        if ($components === []) {
            return;
        }
        $old = $components[$random->getInt(0, count($components) - 1)];
        $structure = new Structure(
            array_map(
                static fn(Line $line): Line => new Line($line->key, $line->find, $line->component, $line->quantity, Unit::Kilogram),
                $base->lines,
            ),
        );
        $ratio = ['1', '2', '4', '0.5'][$random->getInt(0, 3)];
        $back = ['1' => '1', '2' => '0.5', '4' => '0.25', '0.5' => '2'][$ratio];
        $there = new Replacement($old, Unit::Kilogram, [incoming('NEW', $ratio, Unit::Kilogram)]);
        $here = new Replacement('NEW', Unit::Kilogram, [incoming($old, $back, Unit::Kilogram)]);
        expect(replaced(replaced($structure, $there), $here))->toEqual($structure);

        $day = Day::parse('2027-05-01');
        $dated = replaced($structure, new Replacement($old, Unit::Kilogram, [incoming('NEW', $ratio, Unit::Kilogram)], $day));
        expect(readOn($dated, '2027-04-30'))
            ->toBe(readOn($structure, '2027-04-30'))
            ->and(readOn($dated, '2027-05-01'))
            ->toBe(readOn(replaced($structure, $there), '2027-05-01'))
            ->and(
                array_filter(
                    $dated->lines,
                    static fn(Line $line): bool => $line->validity == Validity::always() && $line->component === $old,
                ),
            )
            ->toBe([]);
    });
});
