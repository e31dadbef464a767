<?php

declare(strict_types=1);

use Orthotaxis\Core\Change\Base;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\HandedPart;
use Orthotaxis\Core\Content\PartAction;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\ItemData\ItemField;
use Orthotaxis\Core\ItemData\SetField;
use Orthotaxis\Core\Refusal;
use Random\Randomizer;

function set(string $key, string $text): SetField
{
    return new SetField(DataField::of($key), $text);
}

/** The pump tube: bought from Riverton Hose by the pack of 50 m, 9.80 a metre, 15 working days, 40 m kept at Weir. */
function tubeData(): ItemData
{
    return (new ItemData())->edited([
        set('safety_stock@Weir', '40'),
        set('standard_cost', '9.8'),
        set('lead_time_days', '15'),
        set('supply', 'buy'),
        set('supplier', ' Riverton Hose '),
        set('pack', '50'),
    ]);
}

it('keeps what is typed in one way, in the order in which it is read', function (): void {
    expect(tubeData()->values)->toBe([
        'standard_cost' => '9.80',
        'lead_time_days' => '15',
        'supply' => 'buy',
        'supplier' => 'Riverton Hose',
        'pack' => '50',
        'safety_stock@Weir' => '40',
    ]);
});

it('says what differs, before and after, and forgets what is cleared', function (): void {
    $after = tubeData()->edited([set('standard_cost', '12.60'), set('supplier', ''), set('minimum_lot@Weir', '200')]);
    expect($after->since(tubeData())->fields)
        ->toBe([
            'standard_cost' => ['9.80', '12.60'],
            'supplier' => ['Riverton Hose', ''],
            'minimum_lot@Weir' => ['', '200'],
        ])
        ->and(tubeData()->since($after)->fields['minimum_lot@Weir'])
        ->toBe(['200', ''])
        ->and(count(tubeData()->since(tubeData())))
        ->toBe(0);
    $handed = array_map(
        static fn(HandedPart $part): array => [$part->action, implode(' ', array_filter($part->fields))],
        $after->handedOver(tubeData()),
    );
    expect($handed)->toBe([
        [PartAction::Change, 'standard_cost 12.60'],
        [PartAction::Keep, 'lead_time_days 15'],
        [PartAction::Keep, 'supply buy'],
        [PartAction::Remove, 'supplier Riverton Hose'],
        [PartAction::Keep, 'pack 50'],
        [PartAction::Keep, 'safety_stock Weir 40'],
        [PartAction::Add, 'minimum_lot Weir 200'],
    ]);
});

it('refuses what a field cannot be, at the field', function (string $key, string $text, string $reason): void {
    expect(fn() => tubeData()->edited([set($key, $text)]))->toThrow(
        fn(Refusal $refusal) => expect($refusal->reasons)->toBe([$key => $reason]),
    );
})->with([
    'a cost below nothing' => ['standard_cost', '-1', 'A cost is nothing or more.'],
    'a lead time in words' => ['lead_time_days', 'soon', 'Write whole working days, at most 3650.'],
    'half a day' => ['lead_time_days', '1.5', 'Write whole working days, at most 3650.'],
    'too many days' => ['lead_time_days', '3651', 'Write whole working days, at most 3650.'],
    'a supply that there is not' => ['supply', 'steal', 'Use make, buy or subcontract.'],
    'no supply' => ['supply', '', 'Say whether it is made, bought or subcontracted.'],
    'a pack of nothing' => ['pack', '0', 'It is more than nothing.'],
    'a lot of nothing' => ['minimum_lot@Weir', '0', 'It is more than nothing.'],
    'less than nothing in stock' => ['safety_stock@Tarn', '-5', 'It is nothing or more.'],
    'a mass in words' => ['mass_kg', 'light', 'Write the kilograms of one, such as 0.125.'],
    'retired in part' => ['retired', 'half', 'Write yes, or nothing.'],
    'too long' => ['material', str_repeat('x', 121), 'At most 120 characters.'],
]);

it('knows no other fields, and of several which', function (string $key): void {
    expect(fn() => DataField::of($key))->toThrow(fn(Refusal $refusal) => expect($refusal->reasons)->toHaveKey($key));
})->with(['colour', 'safety_stock', 'safety_stock@', 'standard_cost@Weir', 'attribute', '']);

it('is not released where it names what follows and is not retired', function (): void {
    $named = tubeData()->edited([set('replaced_by', '200-0041')]);
    expect($named->faults())
        ->toBe(['It is replaced by 200-0041, but not retired.'])
        ->and($named->edited([set('retired', 'yes')])->faults())
        ->toBe([]);
});

it('asks for a disposition where the item is retired, not where its cost changes', function (): void {
    $item = static fn(SetField $edit): OrderItem => new OrderItem('200-0040', Outcome::Data, null, new Base('B', 'B'), [
        Work::on(new Subject(Subject::ITEM_DATA, '200-0040'), new Base('A', 'A'), tubeData(), [$edit]),
    ]);
    expect($item(set('standard_cost', '12.60'))->needsDisposition())
        ->toBeFalse()
        ->and($item(set('retired', 'yes'))->needsDisposition())
        ->toBeTrue()
        ->and($item(set('standard_cost', '12.60'))->isEdited())
        ->toBeTrue();
});

it('lets an outcome change what it says, and nothing else', function (Outcome $outcome, array $may): void {
    $kinds = [Subject::ENGINEERING, 'manufacturing', Subject::ITEM_DATA];
    expect(array_values(array_filter($kinds, $outcome->mayChange(...))))->toBe($may);
})->with([
    [Outcome::Revise, [Subject::ENGINEERING, 'manufacturing', Subject::ITEM_DATA]],
    [Outcome::Build, ['manufacturing', Subject::ITEM_DATA]],
    [Outcome::Data, [Subject::ITEM_DATA]],
    [Outcome::Keep, []],
]);

it('gives one set of data from another by what differs, whatever they are, and tells both apart', function (int $seed): void {
    $random = new Randomizer(new Random\Engine\Mt19937($seed));
    $texts = [
        'standard_cost' => ['', '1.00', '2.50'],
        'lead_time_days' => ['', '5'],
        'supply' => ['make', 'buy'],
        'pack' => ['', '12'],
        'safety_stock@Tarn' => ['', '0', '7'],
        'attribute@Colour' => ['', 'grey', 'green'],
    ];
    $some = static fn(): ItemData => new ItemData(
        array_map(static fn(array $of): string => $of[$random->getInt(0, count($of) - 1)], $texts),
    );
    [$a, $b] = [$some(), $some()];
    $changes = $b->since($a);
    $edits = [];
    foreach ($changes->fields as $key => [, $after]) {
        $edits[] = set($key, $after);
    }
    expect($a->edited($edits)->values)
        ->toBe($b->values)
        ->and(array_map(array_reverse(...), $a->since($b)->fields))
        ->toBe($changes->fields)
        ->and($a->told() === $b->told())
        ->toBe(count($changes) === 0);
})->with(range(1, 30));

it('says what an edit does, and which two cannot both be', function (): void {
    expect(set('safety_stock@Weir', '60')->inWords())
        ->toBe('Safety stock at Weir to 60')
        ->and(set('supplier', '')->inWords())
        ->toBe('Supplier cleared')
        ->and(set('supplier', 'A')->conflictsWith(set('supplier', 'B')))
        ->toBe(['value'])
        ->and(set('safety_stock@Weir', '1')->conflictsWith(set('safety_stock@Tarn', '1')))
        ->toBe([])
        ->and((new DataField(ItemField::Attribute, 'a@b'))->key())
        ->toBe('attribute@a@b')
        ->and(DataField::of('attribute@a@b')->of)
        ->toBe('a@b');
});
