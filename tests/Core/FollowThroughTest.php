<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\FollowThrough\Replaced;
use Orthotaxis\Core\FollowThrough\Settlement;
use Orthotaxis\Core\FollowThrough\Way;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;

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

it('tells planning of what it has to do, and of nothing else', function (Way $way, bool $told): void {
    expect(Settlement::isTold($way))->toBe($told);
})->with([
    'runs out' => [Way::RunOut, false],
    'accepted as it is' => [Way::Accept, false],
    'changed over' => [Way::ChangeOver, true],
    'reworked' => [Way::Rework, true],
    'returned' => [Way::Return, true],
    'scrapped' => [Way::Scrap, true],
    'cancelled' => [Way::Cancel, true],
]);

it('names the document as planning knows it, and the revision or the item that takes the place', function (): void {
    $row = new Supply(
        kind: SupplyKind::PurchaseOrder,
        document: 'PO-31207',
        item: '200-0051',
        revision: 'A',
        quantity: Quantity::parse('12.5', 'quantity'),
        unit: Unit::Piece,
        unitValue: Money::parse('18.40', 'value'),
        due: Day::parse('2026-12-20'),
        place: 'Weir',
        status: 'confirmed',
    );
    $entry = Settlement::entry(3, $row, Way::ChangeOver, '200-0052', item: true, due: '2026-12-04', note: 'Ask Almroth.');
    $record = Document::settlement('ECO-00082', 'T', 9, '2026-11-29T08:00:00Z', '2026-11-29', [$entry])->records()[0];
    expect(array_filter($record, static fn(string|int|null $one): bool => $one !== null))->toBe([
        'entry' => 3,
        'action' => 'settle',
        'structure' => 'document',
        'item' => '200-0051',
        'revision' => 'A',
        'quantity' => '12.5',
        'unit' => 'pc',
        'notes' => 'Ask Almroth.',
        'document' => 'PO-31207',
        'documentKind' => 'purchase_order',
        'place' => 'Weir',
        'way' => 'change_over',
        'toItem' => '200-0052',
        'due' => '2026-12-04',
    ]);
    $to = static fn(Way $way): ?string => Settlement::entry(1, $row, $way, 'B', item: false, due: null, note: '')->fields['toRevision'];
    expect($to(Way::Rework))->toBe('B')->and($to(Way::Cancel))->toBeNull();
});
