<?php

declare(strict_types=1);

use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Entry;
use Orthotaxis\Core\Handover\EntryAction;
use Orthotaxis\Core\Handover\Format;
use Orthotaxis\Core\Handover\Profile;
use Orthotaxis\Core\Refusal;

/** A pump head that gets a thicker tube, in engineering and at Weir; minimum lots of both plants; a purchase order that is changed over. */
function handedOver(): Document
{
    $entries = [
        [EntryAction::Supersede, new Subject(Subject::ENGINEERING, '200-0010'), ['supersedes' => 'F', 'disposition' => 'use_up']],
        [
            EntryAction::Replace,
            new Subject(Subject::ENGINEERING, '200-0010'),
            ['find' => 10, 'component' => '200-0041', 'quantity' => '0.5'],
        ],
        [
            EntryAction::Replace,
            new Subject(Subject::MANUFACTURING, '200-0010', 'Weir'),
            ['find' => 10, 'component' => '200-0041', 'operation' => 20],
        ],
        [
            EntryAction::Replace,
            new Subject(Subject::MANUFACTURING, '200-0010', 'Tarn'),
            ['find' => 10, 'component' => '200-0041', 'operation' => 30],
        ],
        [EntryAction::Change, new Subject(Subject::ITEM_DATA, '200-0041'), ['field' => 'minimum_lot', 'of' => 'Weir', 'value' => '50']],
        [EntryAction::Change, new Subject(Subject::ITEM_DATA, '200-0041'), ['field' => 'minimum_lot', 'of' => 'Tarn', 'value' => '80']],
        [EntryAction::Change, new Subject(Subject::ITEM_DATA, '200-0041'), ['field' => 'lead_time_days', 'value' => '12']],
        [
            EntryAction::Settle,
            new Subject(Subject::DOCUMENT, '200-0040'),
            ['document' => 'PO-1', 'place' => 'Weir shelf 4', 'way' => 'cancel'],
        ],
        [EntryAction::Settle, new Subject(Subject::DOCUMENT, '200-0040'), ['document' => 'PO-2', 'place' => 'Weirside', 'way' => 'cancel']],
    ];
    $records = [];
    foreach ($entries as $at => [$action, $subject, $fields]) {
        $records[] = [
            'entry' => $at + 1,
            'action' => $action->value,
            'structure' => $subject->kind,
            'plant' => $subject->plant === '' ? null : $subject->plant,
            'item' => $subject->item,
            'revision' => 'G',
            ...$fields,
        ];
    }

    return Document::kept(
        order: 'ECO-00091',
        title: 'Thicker tube',
        number: 17,
        written: '2026-11-23T09:05:07Z',
        effectiveFrom: '2026-12-14',
        records: $records,
    );
}

/** @param  array<string, mixed>  $some */
function handoverProfile(array $some = []): Profile
{
    return Profile::of(
        ...$some + [
            'structures' => Profile::STRUCTURES,
            'plants' => [],
            'fields' => [],
            'format' => Format::Csv,
            'name' => '{order}_{day}_{number}',
        ],
    );
}

$entries = static fn(?Document $document): array => array_map(static fn(Entry $entry): int => $entry->number, $document->entries ?? []);

it('is what was kept of it', function (): void {
    $document = handedOver();
    $again = Document::kept(
        order: $document->order,
        title: $document->title,
        number: $document->number,
        written: $document->written,
        effectiveFrom: $document->effectiveFrom,
        records: $document->records(),
    );
    expect($again->records())->toBe($document->records())->and($again)->toEqual($document);
    foreach (Format::cases() as $format) {
        expect($format->write($again))->toBe($format->write($document));
    }
});

it('gives all of it to whoever takes all', function () use ($entries): void {
    expect(handoverProfile()->select(handedOver()))->toEqual(handedOver())->and($entries(handedOver()))->toBe(range(1, 9));
});

it('gives what is built at a plant, and what is of no single plant, to that plant', function (
    array $structures,
    array $plants,
    array $numbers,
) use ($entries): void {
    expect($entries(handoverProfile(['structures' => $structures, 'plants' => $plants])->select(handedOver())))->toBe($numbers);
})->with([
    'what is built, everywhere' => [['manufacturing'], [], [3, 4]],
    'what is built at Weir' => [['manufacturing'], ['Weir'], [3]],
    'engineering is of no plant' => [['engineering'], ['Weir'], [1, 2]],
    'data of the item, and of the plant' => [['item_data'], ['Weir'], [5, 7]],
    'documents by their place' => [['document'], ['Weir'], [8]],
    'a plant where nothing is built' => [['manufacturing'], ['Holm'], []],
]);

it('parts what is of plants: nothing is lost between those that take one each', function () use ($entries): void {
    $of = static fn(array $plants): array => $entries(
        handoverProfile(['structures' => ['manufacturing', 'item_data'], 'plants' => $plants])->select(handedOver()),
    );
    expect(
        collect([...$of(['Weir']), ...$of(['Tarn'])])
            ->unique()
            ->sort()
            ->values()
            ->all(),
    )
        ->toBe($of([]))
        ->and(array_values(array_intersect($of(['Weir']), $of(['Tarn']))))
        ->toBe([7]);
});

it('writes the fields that are wanted, beside those that say what an entry is about, and keeps its number', function (): void {
    $profile = handoverProfile(['structures' => ['manufacturing'], 'plants' => ['Weir'], 'fields' => ['operation', 'component']]);
    $document = $profile->select(handedOver());
    expect($profile->format->write($document))
        ->toBe(
            "order,effective_from,entry,action,structure,plant,item,revision,component,operation\r\nECO-00091,2026-12-14,3,replace,manufacturing,Weir,200-0010,G,200-0041,20\r\n",
        )
        ->and(json_decode(Format::Json->write($document), true)['entries'][0])
        ->toBe([
            'entry' => 3,
            'action' => 'replace',
            'structure' => 'manufacturing',
            'plant' => 'Weir',
            'item' => '200-0010',
            'revision' => 'G',
            'component' => '200-0041',
            'operation' => 20,
        ]);
    $xml = new DOMDocument();
    $xml->loadXML(Format::Xml->write($document));
    expect($xml->schemaValidate(dirname(__DIR__, 2) . '/resources/schemas/hand-over-2.xsd'))->toBeTrue();
});

it('calls its files as it is said', function (string $pattern, string $name): void {
    expect(handoverProfile(['name' => $pattern])->name->for(handedOver(), 3, Format::Json))->toBe($name);
})->with([
    ['{order}_{day}_{number}', 'ECO-00091_2026-12-14_000003.json'],
    ['weir-{date}-{time}-{number}', 'weir-20261123-090507-000003.json'],
    ['{hand_over}.{number}', '17.000003.json'],
]);

it('says what cannot be so', function (array $some, string $place, string $reason): void {
    try {
        handoverProfile($some);
        expect(false)->toBeTrue();
    } catch (Refusal $refusal) {
        expect($refusal->reasons[$place] ?? null)->toBe($reason);
    }
})->with([
    [['structures' => []], 'structures', 'Choose what it gets.'],
    [['structures' => ['design']], 'structures', 'There is no structure design.'],
    [['fields' => ['colour']], 'fields', 'There is no field colour.'],
    [['name' => ''], 'file_name', 'Say how its files are called.'],
    [['name' => '{order}'], 'file_name', 'Put {number} into it, so that no file is laid over another.'],
    [['name' => '../{number}'], 'file_name', 'Letters, digits, points, - and _ besides the parts in braces; no folders.'],
    [['name' => '.{number}'], 'file_name', 'It must not begin with a point.'],
    [['name' => '{who}{number}'], 'file_name', 'There is no part {who}. There are {order}, {day}, {date}, {time}, {number}, {hand_over}.'],
    [['name' => str_repeat('a', 73) . '{number}'], 'file_name', 'At most 80 characters.'],
]);
