<?php

declare(strict_types=1);

use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\LineReader;
use Tests\Core\Support\Make;

$read = fn(array $fields) => (new LineReader())->read(
    'k',
    $fields + ['find' => '10', 'component' => 'P-1', 'quantity' => '1', 'unit' => 'pc'],
);

it('reads a line as it is typed', function () use ($read): void {
    $line = $read(['quantity' => '3', 'designators' => 'R1 R2;R3', 'notes' => ' twist ', 'not_modelled' => 'yes', 'operation' => '20']);
    expect($line->designators)
        ->toBe('R1, R2, R3')
        ->and($line->notes)
        ->toBe('twist')
        ->and($line->notModelled)
        ->toBeTrue()
        ->and($line->operation)
        ->toBe(20);
});

it('says of each field what is wrong', function (array $fields, string $place, string $reason) use ($read): void {
    try {
        $read($fields);
        $this->fail('It was read.');
    } catch (Refusal $refusal) {
        expect($refusal->reasons)->toHaveKey($place)->and($refusal->reasons[$place])->toContain($reason);
    }
})->with([
    'no component' => [['component' => ' '], 'component', 'item number'],
    'zero' => [['quantity' => '0'], 'quantity', 'more than zero'],
    'negative' => [['quantity' => '-2'], 'quantity', 'more than zero'],
    'words' => [['quantity' => 'some'], 'quantity', 'number'],
    'half a piece' => [['quantity' => '0.5'], 'quantity', 'used whole'],
    'unknown unit' => [['unit' => 'dozen'], 'unit', 'no unit'],
    'find number zero' => [['find' => '0'], 'find', 'whole number'],
    'find number with words' => [['find' => '1a'], 'find', 'whole number'],
    'too few designators' => [['quantity' => '2', 'designators' => 'R1'], 'designators', '1 designators for a quantity of 2'],
    'a designator twice' => [['quantity' => '2', 'designators' => 'R1 R1'], 'designators', 'twice'],
    'neither yes nor no' => [['phantom' => 'perhaps'], 'phantom', 'Say yes'],
    'a by-product at no operation' => [['by_product' => 'yes'], 'operation', 'at which operation'],
    'a by-product with scrap' => [['by_product' => 'yes', 'operation' => '20', 'scrap' => '4'], 'scrap', 'comes out'],
    'a phantom by-product' => [['by_product' => 'yes', 'operation' => '20', 'phantom' => 'yes'], 'by_product', 'goes in'],
    'a by-product that stands for a line' => [
        ['by_product' => 'yes', 'operation' => '20', 'takes_over' => 'k'],
        'by_product',
        'stands for',
    ],
    'a long note' => [['notes' => str_repeat('a', 501)], 'notes', 'At most 500'],
]);

it('says everything that is wrong at once', function () use ($read): void {
    try {
        $read(['quantity' => '', 'unit' => '', 'find' => '']);
        $this->fail('It was read.');
    } catch (Refusal $refusal) {
        expect(array_keys($refusal->reasons))->toEqualCanonicalizing(['quantity', 'unit', 'find']);
    }
});

it('keeps what is not given anew', function (): void {
    $tube = Make::line('tube', 50, '200-0040', '0.5', Unit::Metre, notes: 'wall 1.6 mm');
    expect($tube->with(['component' => '200-0041']))
        ->toEqual(Make::line('tube', 50, '200-0041', '0.5', Unit::Metre, notes: 'wall 1.6 mm'))
        ->and($tube->with(['notes' => ''])->notes)
        ->toBe('');
});
