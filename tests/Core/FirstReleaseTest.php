<?php

declare(strict_types=1);

use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Format;
use Orthotaxis\Core\Handover\IntroducedItem;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Readiness\Check;
use Orthotaxis\Core\Readiness\Readiness;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Revision\Sequence;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

$today = Day::parse('2026-11-23');
$new = static fn(Structure $after, ?string $latest = null, Sequence $sequence = Sequence::Letters): OrderItem => Make::orderItem(
    new Structure(),
    $after,
    base: null,
    latest: $latest,
    number: '200-0060',
    disposition: null,
    from: null,
    sequence: $sequence,
);
$release = static function (OrderItem $item) use ($today): ReleasePlan {
    $digest = Digest::of(Make::order(OrderState::Signed, [$item]));

    return ReleasePlan::of(Make::order(OrderState::Signed, [$item], signed: $digest), $today);
};

it('needs neither a disposition nor lines for what does not exist yet', function () use ($new, $today): void {
    $checks = Readiness::forReview(Make::order(items: [$new(new Structure())]), $today);
    expect(array_filter($checks, static fn(Check $check): bool => !$check->met))->toBe([]);
});

it('notices when another order was first', function () use ($new, $today): void {
    $checks = Readiness::forReview(Make::order(items: [$new(new Structure(), 'A')]), $today);
    expect(
        implode(
            ' ',
            array_map(
                static fn(Check $check): string => $check->reason,
                array_filter($checks, static fn(Check $check): bool => !$check->met),
            ),
        ),
    )->toContain('was released as revision A meanwhile');
});

it('gives the first code of the sequence and supersedes nothing', function (Sequence $sequence, string $code) use ($new, $release): void {
    $plan = $release($new(new Structure(), sequence: $sequence));
    expect($plan->items[0]->revision)->toBe($code)->and($plan->items[0]->supersedes)->toBeNull();
})->with([[Sequence::Letters, 'A'], [Sequence::Numbers, '1'], [Sequence::NumbersThenLetters, 'A']]);

it('introduces the item to planning, and tells phantoms and days of lines', function () use ($new, $release): void {
    $line = new Line(
        'a',
        10,
        '200-0040',
        Quantity::one(),
        Unit::Metre,
        validity: Validity::fromTo(Day::parse('2027-03-01'), Day::parse('2027-03-31')),
        phantom: true,
    );
    $document = Document::of($release($new(new Structure([$line]))), 'New head', 3, '2026-11-23T09:00:00Z', [
        '200-0060' => new IntroducedItem('Pump head, wide', Unit::Piece),
    ]);
    [$item, $entry] = $document->records();
    expect($item['action'])
        ->toBe('introduce')
        ->and($item['title'])
        ->toBe('Pump head, wide')
        ->and($item['itemUnit'])
        ->toBe('pc')
        ->and($item['supersedes'])
        ->toBeNull()
        ->and([$entry['phantom'], $entry['firstDay'], $entry['lastDay']])
        ->toBe(['yes', '2027-03-01', '2027-03-31']);
    $xml = new DOMDocument();
    $xml->loadXML(Format::Xml->write($document));
    expect($xml->schemaValidate(dirname(__DIR__, 2) . '/resources/schemas/hand-over-2.xsd'))->toBeTrue();
});

it('takes a new sheet for an edit, and signs it by its content', function () use ($today): void {
    $drawing = static fn(array $files): OrderItem => Make::orderItem(
        new Structure(),
        new Structure(),
        base: 'A',
        number: '800-0001',
        from: null,
        files: $files,
    );
    $idle = array_filter(Readiness::forReview(Make::order(items: [$drawing([])]), $today), static fn(Check $check): bool => !$check->met);
    $edited = array_filter(
        Readiness::forReview(Make::order(items: [$drawing(['sheet b.svg 00'])]), $today),
        static fn(Check $check): bool => !$check->met,
    );
    expect($idle)
        ->toHaveCount(1)
        ->and($edited)
        ->toBe([])
        ->and(Digest::of(Make::order(items: [$drawing(['sheet b.svg 00'])])))
        ->not->toBe(Digest::of(Make::order(items: [$drawing(['sheet b.svg 01'])])));
});

it('names saved work between releases', function (): void {
    expect(Sequence::Letters->working('B', 3))
        ->toBe('C.3')
        ->and(Sequence::Letters->working(null, 1))
        ->toBe('A.1')
        ->and(Sequence::Numbers->working('7', 2))
        ->toBe('8.2')
        ->and(Sequence::NumbersThenLetters->working(null, 4))
        ->toBe('4')
        ->and(Sequence::NumbersThenLetters->working('Y', 4))
        ->toBe('AA.4')
        ->and(Sequence::NumbersThenLetters->next('H'))
        ->toBe('J');
});
