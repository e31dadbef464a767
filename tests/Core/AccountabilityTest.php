<?php

declare(strict_types=1);

use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Manufacturing\Accounted;
use Orthotaxis\Core\Manufacturing\OnRecord;
use Orthotaxis\Core\Manufacturing\Share;
use Orthotaxis\Core\Quantity\Exact;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;
use Random\Randomizer;
use Tests\Core\Support\Make;

/** The plant's line of a component, at an operation. */
function built(string $component, string $quantity, int $operation = 10, string $of = '', Unit $unit = Unit::Piece, int $scrap = 0): Line
{
    static $key = 0;

    return new Line(
        key: 'built-' . ++$key,
        find: $operation,
        component: $component,
        quantity: Quantity::parse($quantity),
        unit: $unit,
        operation: $operation,
        scrap: $scrap,
        takesOver: $of,
    );
}

/**
 * What a senior planner reads first: find number, how it is accounted for, what is open of it.
 *
 * @return list<array{int, string, string}>
 */
function accounts(Accountability $of): array
{
    return array_map(static fn(Accounted $line): array => [$line->line->find, $line->account->value, "{$line->rest}"], $of->lines);
}

/** @return list<Line> the same lines, as a plant would take them over whole */
function takenOver(Structure $engineering): array
{
    return array_values(array_map(static fn(Line $line): Line => $line->with(['takes_over' => $line->key]), $engineering->lines));
}

it('lists what is not taken over, and marks what engineering does not declare', function (): void {
    $of = Accountability::of(Make::pumpHead(), [
        built('200-0011', '1', 10),
        built('200-0042', '2', 20),
        built('600-0014', '4', 20),
        built('710-0004', '1', 30, unit: Unit::Gram),
    ]);
    expect(accounts($of))
        ->toBe([[10, 'in_full', '0'], [50, 'open', '0.5'], [60, 'in_full', '0'], [70, 'open', '2']])
        ->and(array_map(static fn(Accounted $line): int => $line->line->find, $of->open()))
        ->toBe([50, 70])
        ->and(array_map(static fn(Share $share): string => $share->part->component(), $of->additions))
        ->toBe(['710-0004']);
});

it('adds up parts over operations, kits and kits in kits', function (): void {
    // Six screws: one at operation 10, one in a kit, and a kit of two bags of two screws each.
    $of = Accountability::of(
        new Structure([Make::line('screw', 70, '600-0014', '6')]),
        [built('600-0014', '1', 10), built('KIT-1', '1', 20)],
        ['KIT-1' => [built('600-0014', '1'), built('BAG-2', '2')], 'BAG-2' => [built('600-0014', '2')]],
    );
    expect(accounts($of))
        ->toBe([[70, 'in_parts', '0']])
        ->and(
            array_map(
                static fn(Share $share): string => implode(' > ', $share->part->through) . " {$share->part->operation}: {$share->quantity}",
                $of->lines[0]->shares,
            ),
        )
        ->toBe([' 10: 1', 'KIT-1 20: 1', 'KIT-1 > BAG-2 20: 4']);
});

it('gathers lines of one component into one, in the order of their find numbers', function (): void {
    $engineering = new Structure([Make::line('a', 10, '600-0014', '4'), Make::line('b', 20, '600-0014', '2')]);
    expect(accounts(Accountability::of($engineering, [built('600-0014', '6')])))
        ->toBe([[10, 'in_full', '0'], [20, 'in_full', '0']])
        ->and(accounts(Accountability::of($engineering, [built('600-0014', '5')])))
        ->toBe([[10, 'in_full', '0'], [20, 'open', '1']])
        ->and(accounts(Accountability::of($engineering, [built('600-0014', '7')])))
        ->toBe([[10, 'in_full', '0'], [20, 'open', '-1']])
        // A line that says which one it stands for is given to that one alone.
        ->and(accounts(Accountability::of($engineering, [built('600-0014', '2', of: 'b'), built('600-0014', '3', of: 'a')])))
        ->toBe([[10, 'open', '1'], [20, 'in_full', '0']]);
});

it('takes another unit and scrap on top for what they are, and no unit that does not convert', function (): void {
    $tube = new Structure([Make::line('tube', 50, '200-0040', '0.5', Unit::Metre)]);
    expect(accounts(Accountability::of($tube, [built('200-0040', '500', unit: Unit::Millimetre)])))
        ->toBe([[50, 'otherwise', '0']])
        ->and(accounts(Accountability::of($tube, [built('200-0040', '0.5', unit: Unit::Metre, scrap: 40_000)])))
        ->toBe([[50, 'otherwise', '0']])
        ->and(accounts(Accountability::of($tube, [built('200-0040', '499.9', unit: Unit::Millimetre)])))
        ->toBe([[50, 'open', '0.0001']]);
    $pieces = Accountability::of($tube, [built('200-0040', '1')]);
    expect(accounts($pieces))
        ->toBe([[50, 'open', '0.5']])
        ->and($pieces->open()[0]->why)
        ->toBe('built in pc, declared in m: these do not convert');
});

it('takes another component in its place where that is on record, so many for so many', function (): void {
    // Four rivets where engineering draws two screws.
    $record = OnRecord::replaced('screw', '620-0003', 'Riveted at Weir', Quantity::parse('4'), Unit::Piece, Quantity::parse('2'));
    $of = static fn(Line ...$built): Accountability => Accountability::of(
        new Structure([Make::line('screw', 70, '600-0014', '6')]),
        array_values($built),
        records: [$record],
    );
    expect(accounts($of(built('620-0003', '12'))))
        ->toBe([[70, 'replaced', '0']])
        ->and(accounts($of(built('620-0003', '10'))))
        ->toBe([[70, 'open', '2']])
        ->and($of(built('620-0003', '12'), built('600-0014', '6'))->open()[0]->why)
        ->toBe('600-0014 is replaced on record, and built all the same');
    expect(fn() => OnRecord::replaced('screw', '620-0003', 'No.', Quantity::parse('0'), Unit::Piece, Quantity::parse('1')))->toThrow(
        Refusal::class,
        'above zero',
    );
});

it('catches one part in engineering and another in manufacturing, where nothing is on record', function (): void {
    $of = Accountability::of(new Structure([Make::line('bracket', 30, '310-0071', '2')]), [built('310-0070', '2', of: 'bracket')]);
    expect(accounts($of))
        ->toBe([[30, 'open', '2']])
        ->and($of->additions[0]->part->component())
        ->toBe('310-0070');
});

it('leaves out what is on record as left out, and nothing else', function (): void {
    $of = static fn(Line ...$built): Accountability => Accountability::of(
        new Structure([Make::line('label', 90, '730-0002', '1'), Make::line('more', 95, '730-0002', '1')]),
        array_values($built),
        records: [OnRecord::leftOut('label', 'Printed at the customer.')],
    );
    expect(accounts($of(built('730-0002', '1'))))
        ->toBe([[90, 'left_out', '0'], [95, 'in_full', '0']])
        ->and(accounts($of()))
        ->toBe([[90, 'left_out', '0'], [95, 'open', '1']])
        ->and(accounts($of(built('730-0002', '2'))))
        ->toBe([[90, 'left_out', '0'], [95, 'open', '-1']]);
    $alone = Accountability::of(
        new Structure([Make::line('label', 90, '730-0002')]),
        [built('730-0002', '1')],
        records: [OnRecord::leftOut('label', 'Printed at the customer.')],
    );
    expect($alone->open()[0]->why)->toBe('730-0002 is left out on record, and built all the same');
});

it('opens no level that engineering names itself', function (): void {
    $of = Accountability::of(
        new Structure([Make::line('kit', 10, 'KIT-1', '1')]),
        [built('KIT-1', '1')],
        ['KIT-1' => [built('600-0014', '3')]],
    );
    expect(accounts($of))
        ->toBe([[10, 'in_full', '0']])
        ->and($of->additions)
        ->toBe([]);
});

it('says so when a kit contains itself', function (): void {
    $kits = ['KIT-1' => [built('KIT-2', '1')], 'KIT-2' => [built('KIT-1', '1')]];
    expect(fn() => Accountability::of(Make::pumpHead(), [built('KIT-1', '1')], $kits))->toThrow(
        Refusal::class,
        'KIT-1 > KIT-2 > KIT-1: a kit cannot contain itself.',
    );
});

it('balances to the last digit through any number of levels', function (): void {
    // A ten-thousandth of a ten-thousandth of a kilogram: less than a millionth of a kilogram, and not nothing.
    $of = static fn(string $last): Accountability => Accountability::of(
        new Structure([Make::line('dye', 10, 'DYE', '0.000002', Unit::Gram)]),
        [built('A', '0.0001')],
        ['A' => [built('B', '0.0001')], 'B' => [built('DYE', $last, unit: Unit::Kilogram)]],
    );
    expect(accounts($of('0.2')))
        ->toBe([[10, 'otherwise', '0']])
        ->and(accounts($of('0.200001')))
        ->toBe([[10, 'open', '-0.00000000001']]);
    expect(
        fn() => Exact::of(Quantity::parse('123456.789012'))
            ->times(Exact::of(Quantity::parse('987654.321098')))
            ->times(Exact::of(Quantity::parse('123456.789012'))),
    )->toThrow(Refusal::class, 'too many digits');
});

it('is complete for a structure that is taken over as it is, whoever says for what', function (): void {
    Make::many(static function (Randomizer $random): void {
        $engineering = Make::structure($random);
        foreach ([takenOver($engineering), array_values($engineering->lines)] as $built) {
            $of = Accountability::of($engineering, $built);
            expect($of->open())->toBe([])->and($of->additions)->toBe([]);
        }
    });
});

it('lists exactly the line whose quantity was edited', function (): void {
    Make::many(static function (Randomizer $random): void {
        $engineering = Make::structure($random);
        $built = takenOver($engineering);
        if ($built === []) {
            return;
        }
        $at = $random->getInt(0, count($built) - 1);
        $line = $built[$at];
        $more = $line->quantity->plus(Quantity::ofMillionths($random->getInt(1, 3_000_000)));
        $built[$at] = new Line($line->key, $line->find, $line->component, $more, $line->unit, takesOver: $line->key);
        $open = Accountability::of($engineering, $built)->open();
        expect(array_map(static fn(Accounted $one): string => $one->line->key, $open))
            ->toBe([$line->key])
            ->and("{$open[0]->rest}")
            ->toBe((string) $line->quantity->minus($more));
    });
});

it('gives away every part once: shares and additions add up to what is built', function (): void {
    Make::many(static function (Randomizer $random): void {
        $engineering = Make::structure($random);
        $built = array_values(Make::structure($random)->lines);
        $of = Accountability::of($engineering, $built);
        $given = [];
        foreach ([...array_merge(...array_column($of->lines, 'shares')), ...$of->additions] as $share) {
            $key = $share->part->of->key;
            $given[$key] = ($given[$key] ?? Exact::zero())->plus($share->quantity);
        }
        foreach ($built as $one) {
            expect("{$given[$one->key]}")->toBe((string) $one->quantity);
        }
    });
});

it('changes nothing when lines move to other operations', function (): void {
    Make::many(static function (Randomizer $random): void {
        $engineering = Make::structure($random);
        $moved = array_map(
            static fn(Line $line): Line => $line->with(['operation' => (string) ($random->getInt(1, 9) * 10)]),
            takenOver($engineering),
        );
        expect(accounts(Accountability::of($engineering, $moved)))->toBe(
            accounts(Accountability::of($engineering, takenOver($engineering))),
        );
    });
});

it('counts nothing that comes out: a by-product stands for no engineering line, and is no addition', function (): void {
    $comesOut = static fn(string $component): Line => built($component, '2', 20)->with(['by_product' => 'yes']);
    $of = Accountability::of(
        new Structure([Make::line('screw', 70, '600-0014', '6')]),
        [built('600-0014', '4'), built('KIT-1', '1'), $comesOut('600-0014'), $comesOut('790-0001')],
        ['KIT-1' => [built('600-0014', '2'), $comesOut('600-0014')]],
    );
    expect(accounts($of))
        ->toBe([[70, 'in_parts', '0']])
        ->and($of->additions)
        ->toBe([]);
});
