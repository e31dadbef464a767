<?php

declare(strict_types=1);

use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Format;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Release\ReleasePlan;
use Tests\Core\Support\Make;

$document = function (string $title = 'Thicker tube'): Document {
    $after = Make::pumpHead()
        ->without('screw')
        ->with(Make::line('tube', 50, '200-0041', '0.5', Unit::Metre, notes: '=1+1, "wide" & <open>'))
        ->with(Make::line('grease', 80, '710-0001', '2', Unit::Gram));
    $unsigned = Make::order(OrderState::Signed, [Make::orderItem(after: $after)]);
    $plan = ReleasePlan::of(
        Make::order(OrderState::Signed, [Make::orderItem(after: $after)], signed: Digest::of($unsigned)),
        Day::parse('2026-11-23'),
    );

    return Document::of($plan, $title, 17, '2026-11-23T09:00:00Z');
};

it('numbers its entries and says what to do with each', function () use ($document): void {
    expect(array_map(fn(array $r): string => "{$r['entry']} {$r['action']} {$r['component']}", $document()->records()))
        ->toBe(['1 supersede ', '2 keep 200-0011', '3 replace 200-0041', '4 keep 200-0042', '5 remove 600-0014', '6 add 710-0001'])
        ->and($document()->records()[2]['replaces'])
        ->toBe('200-0040');
});

it('is named by order, date and running number', function () use ($document): void {
    expect($document()->name())->toBe('ECO-00001_2027-02-01_000017');
});

it('writes XML that follows the schema, whatever the texts hold', function () use ($document): void {
    $xml = new DOMDocument();
    $xml->loadXML(Format::Xml->write($document('Tube <2.4 mm> & "clamp"')));
    libxml_use_internal_errors(true);
    $valid = $xml->schemaValidate(dirname(__DIR__, 2) . '/resources/schemas/hand-over-2.xsd');
    expect(array_map(fn(LibXMLError $e): string => $e->message, libxml_get_errors()))->toBe([])->and($valid)->toBeTrue();
});

it('has a schema that refuses what is wrong', function (string $find, string $wrong) use ($document): void {
    $xml = new DOMDocument();
    $xml->loadXML(str_replace($find, $wrong, Format::Xml->write($document())));
    libxml_use_internal_errors(true);
    expect($xml->schemaValidate(dirname(__DIR__, 2) . '/resources/schemas/hand-over-2.xsd'))->toBeFalse();
})->with([
    ['action="keep"', 'action="eat"'],
    ['quantity="0.5"', 'quantity="0"'],
    ['number="3"', 'number="2"'],
    ['effectiveFrom="2027-02-01"', 'effectiveFrom="soon"'],
    ['item="200-0010"', 'item=""'],
]);

it('says the same in JSON and in CSV', function () use ($document): void {
    $json = json_decode(Format::Json->write($document()), true);
    expect($json['entries'])->toBe($document()->records());

    $stream = fopen('php://memory', 'w+');
    fwrite($stream, Format::Csv->write($document()));
    rewind($stream);
    $head = fgetcsv($stream, escape: '');
    $rows = [];
    while (is_array($cells = fgetcsv($stream, escape: ''))) {
        $rows[] = array_combine($head, $cells);
    }
    expect(array_column($rows, 'component'))
        ->toBe(['', '200-0011', '200-0041', '200-0042', '600-0014', '710-0001'])
        // A spreadsheet must not take a note for a formula.
        ->and($rows[2]['notes'])
        ->toBe('\'=1+1, "wide" & <open>');
});

it('says nothing as null, never as an empty text', function () use ($document): void {
    foreach (json_decode(Format::Json->write($document()), true)['entries'] as $entry) {
        expect($entry)->not->toContain('');
    }
});
