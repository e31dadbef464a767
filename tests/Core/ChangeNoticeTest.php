<?php

declare(strict_types=1);

use Orthotaxis\Core\Change\Base;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\PartAction;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Manufacturing\PutOnRecord;
use Orthotaxis\Core\Release\ChangedPart;
use Orthotaxis\Core\Release\DistributionRule;
use Orthotaxis\Core\Release\Recipient;
use Orthotaxis\Core\Release\Touched;
use Orthotaxis\Core\Routing\AddOperation;
use Orthotaxis\Core\Routing\SetBatch;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

/* What a change notice says, and to whom it goes. */

$rule = static fn(
    string $name,
    array $people,
    bool $acknowledge = false,
    ?int $days = null,
    array $plants = [],
    array $products = [],
    array $categories = [],
): DistributionRule => new DistributionRule(
    name: $name,
    plants: $plants,
    products: $products,
    categories: $categories,
    people: $people,
    acknowledge: $acknowledge,
    days: $days,
);
$told = static fn(array $recipients): array => array_map(
    static fn(Recipient $one): array => [$one->acknowledge, $one->days, $one->lists],
    $recipients,
);
$work = static fn(Content $before, array $edits): Work => Work::on(
    new Subject(Subject::ENGINEERING, '200-0010'),
    new Base('B', 'B'),
    $before,
    $edits,
);
$said = static fn(Work $work): array => array_map(
    static fn(ChangedPart $one): array => [$one->action, $one->called, $one->fields],
    ChangedPart::of($work),
);

it('goes to a list where the change touches a plant, a product and a category of it', function (
    array $plants,
    array $products,
    array $categories,
    bool $fits,
) use ($rule): void {
    $touched = new Touched(['Weir'], ['100-0012', '100-0024'], ['pumps', 'parts']);
    $list = $rule('Some', [1], plants: $plants, products: $products, categories: $categories);
    expect($list->fits($touched))->toBe($fits);
})->with([
    'everything' => [[], [], [], true],
    'its plant' => [['Weir'], [], [], true],
    'another plant' => [['Tarn'], [], [], false],
    'one of two plants' => [['Tarn', 'Weir'], [], [], true],
    'a product that has it' => [[], ['100-0024'], [], true],
    'a product that has it not' => [[], ['100-0030'], [], false],
    'a category above its own' => [[], [], ['parts'], true],
    'its plant, another category' => [['Weir'], [], ['labels'], false],
    'all three' => [['Weir'], ['100-0012'], ['pumps'], true],
]);

it('asks everybody once, for the strictest of their lists', function () use ($rule, $told): void {
    $lists = [
        $rule('Tarn planners', [7, 3], acknowledge: true, days: 5),
        $rule('Pumps', [7], acknowledge: true, days: 2),
        $rule('Everybody', [7, 3, 9]),
        $rule('Readers', [9], acknowledge: true),
        $rule('Elsewhere', [9, 4], plants: ['Tarn']),
    ];
    expect($told(Recipient::of($lists, new Touched(['Weir'], [], []))))->toBe([
        3 => [true, 5, ['Tarn planners', 'Everybody']],
        7 => [true, 2, ['Tarn planners', 'Pumps', 'Everybody']],
        9 => [true, null, ['Everybody', 'Readers']],
    ]);
});

it('goes to the same people in whatever order the lists are read', function () use ($rule): void {
    Make::many(function (Random\Randomizer $random) use ($rule): void {
        $lists = [];
        foreach (range(1, 6) as $at) {
            $people = array_map(static fn(): int => $random->getInt(1, 8), range(1, $random->getInt(1, 5)));
            $lists[] = $rule("List {$at}", $people, $random->getInt(0, 1) === 1, $random->getInt(1, 9));
        }
        $of = static fn(array $lists): array => array_map(
            static fn(Recipient $one): array => [$one->acknowledge, $one->days],
            Recipient::of($lists, new Touched([], [], [])),
        );
        expect($of($random->shuffleArray($lists)))->toBe($of($lists));
    });
});

it('tells of every line that differs, with what was and what is', function () use ($work, $said): void {
    $before = new EngineeringContent(Make::pumpHead());
    expect(
        $said(
            $work($before, [
                new ChangeLine('clamp', ['quantity' => '4']),
                new RemoveLine('screw'),
                new AddLine('washer', ['find' => '90', 'component' => '300-0090', 'quantity' => '2', 'unit' => 'pc']),
            ]),
        ),
    )
        ->toContain([PartAction::Change, $before->called('clamp'), [['quantity', '2', '4']]])
        ->toContain([
            PartAction::Add,
            'line 90 300-0090',
            [['find', '', '90'], ['component', '', '300-0090'], ['quantity', '', '2'], ['unit', '', 'pc']],
        ])
        ->toHaveCount(3)
        ->and($said($work($before, [new ReplaceComponent('clamp', ['component' => '300-0091'])]))[0][0])
        ->toBe(PartAction::Replace)
        ->and($said($work($before, [])))
        ->toBe([]);
});

it('tells each difference once, gone ones under their old name', function () use ($work, $said): void {
    Make::many(function (Random\Randomizer $random) use ($work): void {
        [$a, $b] = [new EngineeringContent(Make::structure($random)), new EngineeringContent(Make::structure($random))];
        $there = $work($a, $a->editsTo($b));
        $parts = ChangedPart::of($there);
        expect($parts)->toHaveCount(count($there->changes()));
        foreach ($parts as $part) {
            expect($part->fields)->not->toBe([])->and($part->called)->not->toBe('a line');
        }
    });
    $gone = $said($work(new EngineeringContent(Make::pumpHead()), [new RemoveLine('screw')]));
    expect($gone[0][0])->toBe(PartAction::Remove)->and($gone[0][1])->toStartWith('line ');
});

it('tells of operations and of how many are made at once, and not of the account of the plant', function () use ($work, $said): void {
    $parts = $said(
        $work(new ManufacturingContent(new Structure([Make::line('tube', 50, '200-0040')])), [
            new SetBatch('20'),
            new AddOperation('press', ['number' => '30', 'title' => 'Press on tube', 'work_centre' => 'W-PUMP']),
            new ChangeLine('tube', ['operation' => '30']),
            new PutOnRecord('screw', ['reason' => 'comes with the motor']),
        ]),
    );
    expect(array_column($parts, 1))
        ->toBe(['the batch', 'operation 30 Press on tube', 'line 50 200-0040'])
        ->and($parts[0][2])
        ->toBe([['batch', '1', '20']])
        ->and($parts[2][2])
        ->toBe([['operation', '', '30']]);
});

it('tells of figures of an item that are new, another, or gone', function () use ($work, $said): void {
    $before = new ItemData(['standard_cost' => '4.20', 'supplier' => 'Alder Rubber']);
    $parts = $said($work($before, $before->editsTo(new ItemData(['standard_cost' => '3.90', 'lead_time_days' => '15']))));
    expect($parts)->toBe([
        [PartAction::Change, 'standard cost', [['value', '4.20', '3.90']]],
        [PartAction::Add, 'lead time', [['value', '', '15']]],
        [PartAction::Remove, 'supplier', [['value', 'Alder Rubber', '']]],
    ]);
});
