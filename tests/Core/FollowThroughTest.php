<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\FollowThrough\Replaced;
use Orthotaxis\Core\Impact\Supply;

$row = fn(string $kind, array $more = []): Supply => Supply::read(
    $more + [
        'kind' => $kind,
        'document' => 'D-1',
        'item' => '200-0010',
        'revision' => 'F',
        'quantity' => '4',
        'unit' => 'pc',
        'unit_value' => '26.20',
        'due' => null,
        'place' => 'Tarn',
        'status' => 'open',
    ],
    1,
);
$head = fn(?Disposition $disposition = Disposition::UseUp, ?array $revisions = ['E', 'F'], string $comes = 'G'): Replaced => new Replaced(
    '200-0010',
    $revisions,
    Day::parse('2026-12-08'),
    $comes,
    $disposition,
);

it('knows what is old on which day', function (string $kind, array $more, string $today, bool $isOld) use ($row, $head): void {
    expect($head()->isOld($row($kind, $more), Day::parse($today)))->toBe($isOld);
})->with([
    'a lot of F before the day' => ['stock', [], '2026-11-29', true],
    'a lot of E, older still' => ['stock', ['revision' => 'E'], '2026-11-29', true],
    'a lot of G' => ['stock', ['revision' => 'G'], '2026-12-20', false],
    'a purchase order for after the day' => ['purchase_order', ['due' => '2026-12-10'], '2026-11-29', true],
    'one for the very day' => ['purchase_order', ['due' => '2026-12-08'], '2026-11-29', true],
    'one for the day before: F holds' => ['purchase_order', ['due' => '2026-12-07'], '2026-11-29', false],
    'the same, still open on the day' => ['purchase_order', ['due' => '2026-12-07'], '2026-12-08', true],
    'one without a day' => ['sales_order', [], '2026-11-29', true],
    'one that names no revision' => ['sales_order', ['revision' => '', 'due' => '2027-01-01'], '2026-12-20', false],
    'one of another item' => ['stock', ['item' => '200-0011'], '2026-12-20', false],
]);

it('takes every document of an item that is replaced itself for old, whatever revision it names', function () use ($row, $head): void {
    $retired = $head(revisions: null, comes: '200-0012');
    $today = Day::parse('2026-11-29');
    expect($retired->isOld($row('stock', ['revision' => '']), $today))
        ->toBeTrue()
        ->and($retired->isOld($row('sales_order', ['due' => '2026-12-09', 'revision' => 'G']), $today))
        ->toBeTrue()
        ->and($retired->isOld($row('sales_order', ['due' => '2026-12-01', 'revision' => 'G']), $today))
        ->toBeFalse();
});

it('proposes by kind and by what the order decided about what exists', function (
    string $kind,
    array $more,
    ?string $disposition,
    string $comes,
    ?string $way,
) use ($row, $head): void {
    $given = $disposition === null ? null : Disposition::from($disposition);
    expect($head($given, comes: $comes)->proposes($row($kind, $more))?->value)->toBe($way);
})->with([
    ['stock', [], 'use_up', 'G', 'run_out'],
    ['stock', [], 'rework', 'G', 'rework'],
    ['stock', [], 'scrap', 'G', 'scrap'],
    ['stock', [], 'return', 'G', 'return'],
    'on hold, a person says' => ['stock', [], 'hold', 'G', null],
    ['stock', [], null, 'G', null],
    'a work order not begun' => ['work_order', ['issued' => '0'], 'scrap', 'G', 'change_over'],
    'one that has its parts' => ['work_order', ['issued' => '2'], 'use_up', 'G', 'run_out'],
    ['work_order', ['issued' => '2'], 'rework', 'G', 'rework'],
    'one that has its parts, and what exists is scrapped' => ['work_order', ['issued' => '2'], 'scrap', 'G', null],
    ['purchase_requisition', [], 'use_up', 'G', 'change_over'],
    ['purchase_order', [], 'use_up', 'G', 'change_over'],
    ['subcontract_order', [], 'return', 'G', 'cancel'],
    ['sales_order', [], 'scrap', 'G', 'change_over'],
    'nothing takes its place' => ['forecast', [], 'scrap', '', 'cancel'],
    ['purchase_requisition', [], 'use_up', '', 'cancel'],
]);
