<?php

declare(strict_types=1);

use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Manufacturing\MaterialCost;
use Orthotaxis\Core\Quantity\Minutes;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\AddOperation;
use Orthotaxis\Core\Routing\ChangeOperation;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\OperationDifference;
use Orthotaxis\Core\Routing\OperationField;
use Orthotaxis\Core\Routing\OperationReader;
use Orthotaxis\Core\Routing\RemoveOperation;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Routing\RoutingComparison;
use Orthotaxis\Core\Routing\RoutingCost;
use Orthotaxis\Core\Routing\SetBatch;
use Orthotaxis\Core\Structure\Structure;
use Random\Randomizer;
use Tests\Core\Support\Make;

/** @param  array<string, string>  $fields */
function step(string $key, array $fields): Operation
{
    return (new OperationReader())->read($key, $fields);
}

/** Two operations of the pump line, and one that a painter does. */
function pumpRouting(): Routing
{
    return new Routing(
        [
            step('fit', ['number' => '10', 'title' => 'Fit rotor', 'work_centre' => 'PUMP', 'set_up' => '15', 'run' => '2.5']),
            step('test', ['number' => '20', 'title' => 'Flow test', 'work_centre' => 'TEST', 'run' => '30', 'per' => 'batch']),
            step('paint', ['number' => '30', 'title' => 'Paint', 'supplier' => 'Lindqvist Coating', 'cost' => '3.40', 'lead_time' => '5']),
        ],
        Quantity::parse('10'),
    );
}

/** The pump head of the scenario, its lines at operation 10. */
function routed(): ManufacturingContent
{
    return new ManufacturingContent(
        new Structure(array_map(static fn($line) => $line->with(['operation' => '10']), Make::pumpHead()->lines)),
        routing: pumpRouting(),
    );
}

/** @return array<string, string> */
function refusedRouting(Edit ...$edits): array
{
    try {
        routed()->edited($edits);
    } catch (Refusal $refusal) {
        return $refusal->reasons;
    }

    return [];
}

it('costs a unit by labour, its share of the set-up, and what suppliers take', function (): void {
    $cost = RoutingCost::of(pumpRouting(), ['PUMP' => Money::parse('48'), 'TEST' => Money::parse('60')]);
    // 2.5 minutes at 48 an hour, and 30 minutes at 60 an hour for ten.
    expect((string) $cost->labour())
        ->toBe('5.00')
        // 15 minutes at 48 an hour for ten.
        ->and((string) $cost->setUpCost())
        ->toBe('1.20')
        ->and((string) $cost->subcontract())
        ->toBe('3.40')
        ->and((string) $cost->total())
        ->toBe('9.60')
        ->and([(string) $cost->setUp, (string) $cost->run])
        ->toBe(['1.5', '5.5'])
        ->and($cost->missing())
        ->toBe([]);
});

it('costs components as they are consumed, with what is lost, in the unit of the component', function (): void {
    $structure = new Structure([
        Make::line('tube', 10, '200-0040', '500', Unit::Millimetre)->with(['scrap' => '4']),
        Make::line('screw', 20, '600-0014', '6', Unit::Piece),
        Make::line('grease', 30, '710-0001', '2', Unit::Gram),
    ]);
    $costs = [
        '200-0040' => ['cost' => Money::parse('9.80'), 'unit' => Unit::Metre],
        '600-0014' => ['cost' => Money::parse('0.05'), 'unit' => Unit::Piece],
        '710-0001' => ['cost' => null, 'unit' => Unit::Gram],
    ];
    $material = MaterialCost::of($structure, $costs);
    // 0.52 m at 9.80, and six screws; nobody knows what grease costs.
    expect((string) $material->total)
        ->toBe('5.396')
        ->and($material->missing)
        ->toBe(['710-0001']);
});

it('takes off what comes out: 20 mm of offcuts at 1.00 a metre', function (): void {
    $tube = Make::line('tube', 10, '200-0040', '500', Unit::Millimetre);
    $offcut = Make::line('cut', 20, '790-0001', '20', Unit::Millimetre)->with(['operation' => '20', 'by_product' => 'yes']);
    $costs = [
        '200-0040' => ['cost' => Money::parse('9.80'), 'unit' => Unit::Metre],
        '790-0001' => ['cost' => Money::parse('1'), 'unit' => Unit::Metre],
    ];
    expect((string) MaterialCost::of(new Structure([$tube, $offcut]), $costs)->total)
        ->toBe('4.88')
        ->and(MaterialCost::of(new Structure([$offcut]), [])->missing)
        ->toBe(['790-0001']);
});

it('names what is not known, and counts it as nothing', function (): void {
    $routing = new Routing([
        ...pumpRouting()->operations,
        step('plate', ['number' => '40', 'title' => 'Plate', 'supplier' => 'Lindqvist Coating']),
    ]);
    $cost = RoutingCost::of($routing, ['PUMP' => Money::parse('48')]);
    expect($cost->missing())
        ->toBe(['Operation 20: TEST has no rate.', 'Operation 40: nobody knows what Lindqvist Coating takes for it.'])
        ->and((string) $cost->total())
        ->toBe('17.40');
});

it('adds up: the total is the sum of its operations and of its kinds', function (): void {
    Make::many(static function (Randomizer $random): void {
        $routing = someRouting($random);
        $cost = RoutingCost::of($routing, ['PUMP' => Money::ofTenThousandths($random->getInt(0, 999_999)), 'TEST' => Money::parse('61.5')]);
        $byOperation = array_sum(array_map(static fn($one) => $one->total()->tenThousandths, $cost->operations));
        expect($byOperation)
            ->toBe($cost->total()->tenThousandths)
            ->and($cost->labour()->plus($cost->setUpCost())->plus($cost->subcontract())->tenThousandths)
            ->toBe($byOperation);
    });
});

it('reads operations as people type them, and says of each field what is wrong', function (array $fields, array $places): void {
    expect(static fn() => step('new', $fields + ['number' => '10', 'title' => 'Fit']))->toThrow(
        static fn(Refusal $refusal) => expect(array_keys($refusal->reasons))->toBe($places),
    );
})->with([
    'minutes below zero' => [['work_centre' => 'PUMP', 'run' => '-1'], ['run']],
    'no minutes' => [['work_centre' => 'PUMP', 'set_up' => 'ten'], ['set_up']],
    'neither inside nor outside' => [[], ['work_centre']],
    'both' => [['work_centre' => 'PUMP', 'supplier' => 'Lindqvist Coating'], ['work_centre']],
    'minutes of a supplier' => [['supplier' => 'Lindqvist Coating', 'run' => '3'], ['run']],
    'a cost inside' => [['work_centre' => 'PUMP', 'cost' => '3', 'lead_time' => '2'], ['cost', 'lead_time']],
    'no number' => [['number' => '0', 'work_centre' => 'PUMP'], ['number']],
    'no title' => [['title' => ' ', 'work_centre' => 'PUMP'], ['title']],
    'no days' => [['supplier' => 'Lindqvist Coating', 'lead_time' => 'a week'], ['lead_time']],
    'a cost below zero' => [['supplier' => 'Lindqvist Coating', 'cost' => '-1'], ['cost']],
    'per nothing there is' => [['work_centre' => 'PUMP', 'per' => 'shift'], ['per']],
]);

it('lets lines follow an operation that gets another number', function (): void {
    $after = routed()->edited([new ChangeOperation('fit', ['number' => '15'])]);
    expect(array_unique(array_column($after->structure->lines, 'operation')))
        ->toBe([15])
        ->and($after->faults())
        ->toBe([])
        ->and($after->since(routed())->routing->changes()[0]->kind)
        ->toBe(DifferenceKind::Renumbered);
});

it('refuses an operation that is not there, is there twice, or has components and goes', function (): void {
    $line = array_key_first(routed()->structure->lines);
    expect(refusedRouting(new ChangeLine($line, ['operation' => '40'])))
        ->toBe(['operation' => 'There is no operation 40. There are 10, 20, 30.'])
        ->and(refusedRouting(new ChangeOperation('test', ['number' => '10'])))
        ->toBe(['number' => 'Operation 10 is there already: Fit rotor.'])
        ->and(refusedRouting(new RemoveOperation('fit'))['operation'])
        ->toStartWith('Operation 10 consumes ')
        ->and(refusedRouting(new ChangeOperation('test', ['title' => 'Flow test'])))
        ->toHaveKey('operation')
        ->and(refusedRouting(new RemoveOperation('gone')))
        ->toHaveKey('operation')
        ->and(refusedRouting(new SetBatch('0')))
        ->toHaveKey('batch')
        ->and(refusedRouting(new SetBatch('10')))
        ->toHaveKey('batch')
        ->and(refusedRouting(new RemoveOperation('test'), new SetBatch('25')))
        ->toBe([]);
});

it('lists lines at operations that a routing begun later does not have', function (): void {
    $without = new ManufacturingContent(routed()->structure);
    $begun = $without->edited([new AddOperation('test', ['number' => '20', 'title' => 'Flow test', 'work_centre' => 'TEST'])]);
    expect($without->faults())
        ->toBe([])
        ->and($begun->faults())
        ->toHaveCount(count($begun->structure))
        ->and($begun->faults()[0])
        ->toEndWith('there is no operation 10.');
});

it('gives what was signed before there were routings the digest that it had', function (): void {
    expect(array_keys((new ManufacturingContent(Make::pumpHead()))->told()))
        ->toBe(['lines', 'records'])
        ->and(routed()->told()['operations'][0])
        ->toBe(['number' => '10', 'title' => 'Fit rotor', 'work_centre' => 'PUMP', 'set_up' => '15', 'run' => '2.5', 'per' => 'unit'])
        ->and(routed()->told())
        ->not->toBe(
            routed()
                ->edited([new SetBatch('11')])
                ->told(),
        );
});

it('compares symmetrically: swapped sides swap what came and what went', function (): void {
    Make::many(static function (Randomizer $random): void {
        $a = someRouting($random);
        $b = someRouting($random);
        $there = array_map(operationTold(...), RoutingComparison::of($a, $b)->changes());
        $back = array_map(
            static fn(OperationDifference $one): array => [
                $one->kind->mirrored()->value,
                ...array_reverse(array_slice(operationTold($one), 1, 2)),
                operationTold($one)[3],
            ],
            RoutingComparison::of($b, $a)->changes(),
        );
        sort($there);
        sort($back);
        expect($back)
            ->toBe($there)
            ->and(RoutingComparison::of($a, $a)->changes())
            ->toBe([]);
    });
});

it('knows an operation of another plant by what is done, else by its number', function (): void {
    $weir = pumpRouting();
    $tarn = new Routing([
        step('one', ['number' => '10', 'title' => 'Unpack', 'work_centre' => 'ASSY']),
        step('two', ['number' => '20', 'title' => 'Fit rotor', 'work_centre' => 'ASSY', 'run' => '3']),
        step('three', ['number' => '30', 'title' => ' flow test ', 'work_centre' => 'TEST', 'run' => '30', 'per' => 'batch']),
        step('four', ['number' => '40', 'title' => 'Wipe', 'work_centre' => 'ASSY']),
        step('five', ['number' => '50', 'title' => 'Wipe', 'work_centre' => 'ASSY']),
    ]);
    expect(
        array_map(
            static fn(array $told): array => array_slice($told, 0, 3),
            array_map(operationTold(...), RoutingComparison::of($weir, $tarn)->operations),
        ),
    )->toBe([
        ['added', null, 'one'],
        ['changed', 'fit', 'two'],
        ['changed', 'test', 'three'],
        ['removed', 'paint', null],
        ['added', null, 'four'],
        ['added', null, 'five'],
    ]);
});

/** @return array{string, ?string, ?string, list<OperationField>} */
function operationTold(OperationDifference $one): array
{
    return [$one->kind->value, $one->before?->key, $one->after?->key, $one->fields];
}

function someRouting(Randomizer $random): Routing
{
    $operations = [];
    foreach (['a', 'b', 'c', 'd', 'e'] as $at => $key) {
        if ($random->getInt(0, 3) === 0) {
            continue;
        }
        $operations[] = new Operation(
            $key,
            number: 10 + 10 * $at,
            title: 'Step',
            workCentre: $random->getInt(0, 1) === 0 ? 'PUMP' : 'TEST',
            setUp: new Minutes($random->getInt(0, 90_000)),
            run: new Minutes($random->getInt(0, 9_999)),
        );
    }

    return new Routing($operations, Quantity::parse((string) $random->getInt(1, 40)));
}
