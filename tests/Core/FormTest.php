<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Form\Control;
use Orthotaxis\Core\Form\ControlKind;
use Orthotaxis\Core\Form\Filling;
use Orthotaxis\Core\Form\FormSheet;
use Orthotaxis\Core\Form\Mapping;
use Orthotaxis\Core\Form\Proposal;
use Orthotaxis\Core\Form\QuestionPlan;
use Orthotaxis\Core\Form\RecordField;
use Orthotaxis\Core\Form\ReturnedForm;
use Orthotaxis\Core\Form\TagUse;
use Orthotaxis\Core\Form\TaskPlan;
use Orthotaxis\Core\Refusal;
use Tests\Core\Support\Make;

/** A body with these pieces in one paragraph. */
function body(string ...$pieces): string
{
    return '<w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main" xmlns:w14="http://schemas.microsoft.com/office/word/2010/wordml" xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><w:body><w:p>' .
        implode('', $pieces) .
        '</w:p></w:body></w:document>';
}

function sdt(string $tag, string $what, string $content): string
{
    return "<w:sdt><w:sdtPr><w:alias w:val=\"The {$tag}\"/>" .
        ($tag === '' ? '' : "<w:tag w:val=\"{$tag}\"/>") .
        "{$what}</w:sdtPr><w:sdtContent>{$content}</w:sdtContent></w:sdt>";
}

function words(string $text): string
{
    return "<w:r><w:t>{$text}</w:t></w:r>";
}

const HINT = '<w:showingPlcHdr/>';
const CHOICE = '<w:dropDownList><w:listItem w:displayText="Low" w:value="low"/><w:listItem w:displayText="High" w:value="high"/></w:dropDownList>';
const DATE = '<w:date w:fullDate="2027-01-05T00:00:00Z"><w:dateFormat w:val="yyyy-MM-dd"/></w:date>';

/** @return array<string, string> what stands in each control */
function standing(FormSheet $sheet): array
{
    return array_map(static fn(Control $control): string => $control->value, $sheet->controls());
}

it('reads what stands in controls of every kind', function (): void {
    $sheet = FormSheet::read(
        body(
            sdt('text', '<w:text/>', '<w:r><w:t>One</w:t><w:br/><w:t>two</w:t><w:tab/></w:r>'),
            sdt('many', '', '<w:p>' . words('First') . '</w:p><w:p>' . words('Second') . '</w:p>'),
            sdt('hint', HINT, words('Write here')),
            sdt('ticked', '<w14:checkbox><w14:checked w14:val="1"/></w14:checkbox>', words('☒')),
            sdt('by_hand', '<w14:checkbox><w14:checked w14:val="0"/></w14:checkbox>', words('x')),
            sdt('open', '<w14:checkbox><w14:checked w14:val="0"/></w14:checkbox>', words('☐')),
            sdt('choice', CHOICE, words('High')),
            sdt('other', CHOICE, words('Medium')),
            sdt('day', DATE, words('2027-02-28')),
            sdt('kept', DATE, words('5 January 2027')),
            sdt('wrong', '<w:date/>', words('soon')),
            sdt('picture', '<w:picture/>', '<w:r><w:drawing><a:blip r:embed="rId7"/></w:drawing></w:r>'),
            sdt('text', '<w:text/>', words('again')),
        ),
    );
    expect(standing($sheet))
        ->toBe([
            'text' => "One\ntwo\t",
            'many' => "First\nSecond",
            'hint' => '',
            'ticked' => 'yes',
            'by_hand' => 'yes',
            'open' => '',
            'choice' => 'high',
            'other' => 'Medium',
            'day' => '2027-02-28',
            'kept' => '2027-01-05',
            'wrong' => 'soon',
            'picture' => 'rId7',
        ])
        ->and($sheet->controls()['choice']->options)
        ->toBe(['low' => 'Low', 'high' => 'High'])
        ->and($sheet->controls()['hint']->hint)
        ->toBe('Write here')
        ->and($sheet->controls()['text']->title)
        ->toBe('The text')
        ->and($sheet->controls()['picture']->kind)
        ->toBe(ControlKind::Picture);
});

it('writes into controls what is read again, and into nothing else', function (): void {
    $before = body(
        words('Before '),
        sdt('a', HINT, words('hint')),
        sdt('b', '', '<w:p><w:pPr><w:jc w:val="left"/></w:pPr>' . words('x') . '</w:p>'),
        sdt('c', CHOICE, words('Low')),
        sdt('d', HINT . '<w:date/>', words('day')),
        sdt('e', '<w:dropDownList/>', words('')),
        words(' after'),
    );
    Make::many(function (Random\Randomizer $random) use ($before): void {
        $pieces = ['ampere & volt', '<1.6>', "two\nlines", 'ä', '"quoted"', '', '  spaced '];
        $text = implode('', array_map(static fn(int $i): string => $pieces[$i], $random->pickArrayKeys($pieces, $random->getInt(1, 6))));
        $filled = FormSheet::read(
            FormSheet::read($before)->filled([
                'a' => new Filling($text),
                'b' => new Filling($text),
                'c' => new Filling('high'),
                'd' => new Filling('2027-03-04'),
                'e' => new Filling('', ['1' => 'One']),
            ]),
        );
        $now = standing($filled);
        expect($now['a'])
            ->toBe($text)
            ->and($now['b'])
            ->toBe($text === '' ? 'x' : $text)
            ->and($now['c'])
            ->toBe('high')
            ->and($now['d'])
            ->toBe('2027-03-04')
            ->and($filled->controls()['e']->options)
            ->toBe([1 => 'One'])
            ->and($filled->filled([]))
            ->toContain('Before ')
            ->toContain(' after');
    });
    expect(standing(FormSheet::read(FormSheet::read($before)->filled(['a' => new Filling("bad\x01 sign")]))))->toMatchArray([
        'a' => 'bad sign',
        'b' => 'x',
        'c' => 'low',
        'd' => '',
    ]);
    expect(
        standing(
            FormSheet::read(
                FormSheet::read($before)->filled([
                    'a' => new Filling('', ['P-1' => 'One'], 'As people say'),
                    'e' => new Filling('', ['P-1' => 'One'], 'As people say'),
                ]),
            ),
        ),
    )->toMatchArray(['a' => 'As people say', 'e' => '']);
});

it('knows controls that lost their tags by their place', function (): void {
    $handed = FormSheet::read(
        body(
            sdt('a', HINT, words('hint')),
            sdt('b', '<w14:checkbox><w14:checked w14:val="0"/></w14:checkbox>', words('☐')),
            sdt('c', '<w:picture/>', '<a:blip r:embed="rId1"/>'),
        ),
    );
    $check = '<w14:checkbox><w14:checked w14:val="1"/></w14:checkbox>';
    $saved = FormSheet::read(
        body(
            sdt('', '', words('written')),
            sdt('', '', sdt('', $check, words('☒'))),
            sdt('', '<w:picture/>', sdt('', '', '<a:blip r:embed="rId9"/>')),
        ),
    );
    expect(array_map(static fn(Control $control): string => $control->value, $saved->controlsLike($handed)))->toBe([
        'a' => 'written',
        'b' => 'yes',
        'c' => 'rId9',
    ]);
    // What still shows its hint says nothing; what is no longer whole is not guessed.
    expect(
        FormSheet::read(body(sdt('', '', words('hint')), sdt('', $check, ''), sdt('', '<w:picture/>', '')))->controlsLike($handed)['a']
            ->value,
    )
        ->toBe('')
        ->and(
            FormSheet::read(body(sdt('', '', words('written')), sdt('', '', words('x')), sdt('', '<w:picture/>', '')))->controlsLike(
                $handed,
            ),
        )
        ->toBe([]);
});

it('reads what a word processor made of a form that drops tags, lines and hints', function (): void {
    // Handed out, filled in, and saved by a word processor of 2022.
    $body = static fn(string $name): FormSheet => FormSheet::read((string) file_get_contents(__DIR__ . "/Support/forms/{$name}.xml"));
    $now = array_map(static fn(Control $control): string => $control->value, $body('saved-elsewhere')->controlsLike($body('handed-out')));
    expect($now)
        ->toMatchArray([
            'form' => 'F-00001-0123456789ab',
            'title' => 'Thicker & better',
            'seen' => 'Torn — "twice"',
            'unwritten' => '',
            'tool' => 'yes',
            'other' => '',
            'by' => '2027-03-04',
            'item' => 'P-2',
            'priority' => 'high',
        ])
        ->and(array_diff_key(standing($body('handed-out')), $now))
        ->toBe([]);
});

it('refuses what is no document', function (string $xml): void {
    expect(fn() => FormSheet::read($xml))->toThrow(Refusal::class, 'damaged');
})->with(['', 'plain', '<w:document', '<svg/>', '<!DOCTYPE document [<!ENTITY a "b">]><document/>']);

/** @param  array<string, mixed>  $more */
function plan(array $more = []): QuestionPlan
{
    return new QuestionPlan(...['function' => 'quality', 'topic' => 'other', 'text' => 'When?', 'to' => 'quality', 'days' => 7] + $more);
}

/**
 * @param  list<Mapping>  $mappings
 * @param  array<string, string>  $values
 * @param  list<string>  $items
 * @return list<Proposal>
 */
function returned(array $mappings, array $values, array $items = ['P-1', 'P-2'], string $title = 'Handed'): array
{
    $kinds = [
        'box' => ControlKind::Check,
        'day' => ControlKind::Date,
        'item' => ControlKind::Choice,
        'priority' => ControlKind::Choice,
        'photo' => ControlKind::Picture,
    ];
    $handed = ['title' => 'Handed', 'priority' => 'low', 'box' => '', 'day' => '', 'item' => '', 'text' => '', 'photo' => 'grey'];
    $controls = [];
    foreach ($values + $handed as $tag => $value) {
        $controls[$tag] = new Control(
            $tag,
            $kinds[$tag] ?? ControlKind::Text,
            $tag,
            $value,
            $tag === 'priority' ? ['low' => 'Low', 'high' => 'High'] : [],
        );
    }

    return (new ReturnedForm(
        $handed,
        ['title' => $title, 'priority' => 'low'],
        ['priority' => ['low', 'high']],
        $items,
        Day::parse('2027-01-01'),
    ))->proposals($mappings, $controls);
}

it('proposes what differs from what was handed out, and nothing else', function (): void {
    $title = new Mapping('title', 'Title', RecordField::Title, TagUse::Field, RecordField::Title);
    $priority = new Mapping('priority', 'Priority', RecordField::Priority, TagUse::Field, RecordField::Priority);
    $finding = new Mapping('text', 'Seen', null, TagUse::Finding);
    $photo = new Mapping('photo', 'Photo', null, TagUse::Attachment);
    $box = new Mapping('box', 'Box', null, TagUse::Finding);
    $all = [$title, $priority, $finding, $photo, $box];
    expect(returned($all, []))
        ->toBe([])
        ->and(returned([$title], ['title' => "Hand\n ed"]))
        ->toBe([])
        ->and(returned($all, ['photo' => '']))
        ->toBe([]);
    $asked = returned($all, ['title' => 'Better', 'priority' => 'high', 'text' => 'Torn', 'photo' => 'red', 'box' => 'yes']);
    expect(array_map(static fn(Proposal $one): array => [$one->tag, $one->before, $one->after, $one->fault], $asked))->toBe([
        ['title', 'Handed', 'Better', null],
        ['priority', 'low', 'high', null],
        ['text', '', 'Seen: Torn', null],
        ['photo', '', 'red', null],
        ['box', '', 'Box: yes', null],
    ]);
    expect(returned([$title], ['title' => ' '])[0]->fault)
        ->toContain('empty')
        ->and(returned([$title], ['title' => str_repeat('x', 201)])[0]->fault)
        ->toContain('200')
        ->and(returned([$priority], ['priority' => 'soon'])[0]->fault)
        ->toContain('none of the values')
        ->and(returned([$title], ['title' => 'Better'], title: 'Changed here')[0]->fault)
        ->toContain('changed meanwhile')
        ->and(returned([$title], ['title' => 'Same'], title: 'Same'))
        ->toBe([])
        ->and(fn() => returned([new Mapping('gone', 'Signature', null, TagUse::Nothing)], []))
        ->toThrow(Refusal::class, '"Signature" is no longer in it');
});

it('proposes exactly what was written, whatever that is', function (): void {
    $mappings = [
        new Mapping('title', 'Title', RecordField::Title, TagUse::Field, RecordField::Title),
        new Mapping('text', 'Seen', null, TagUse::Finding),
        new Mapping('box', 'Box', null, TagUse::Question, question: plan()),
        new Mapping('photo', 'Photo', null, TagUse::Attachment),
        new Mapping('day', 'Day', null, TagUse::Finding),
        new Mapping('item', 'Item', null, TagUse::Nothing),
    ];
    $written = ['title' => 'Better', 'text' => 'Torn', 'box' => 'yes', 'photo' => 'red', 'day' => '2027-02-02', 'item' => 'P-2'];
    Make::many(function (Random\Randomizer $random) use ($mappings, $written): void {
        $some = array_filter($written, static fn(): bool => $random->getInt(0, 1) === 1);
        $proposed = returned($mappings, $some);
        expect(array_column($proposed, 'tag'))
            ->toBe(array_values(array_intersect(['title', 'text', 'box', 'photo', 'day'], array_keys($some))))
            ->and(array_filter(array_column($proposed, 'fault')))
            ->toBe([]);
    });
});

it('asks a question for a box that is ticked, by the day that is written', function (
    array $values,
    array $more,
    string $text,
    string $item,
    ?string $due,
    ?string $fault,
): void {
    $asked = returned([new Mapping('box', 'Visit', null, TagUse::Question, question: plan($more))], $values + ['box' => 'yes'])[0];
    expect([$asked->after, $asked->item, $asked->due?->__toString()])
        ->toBe([$text, $item, $due])
        ->and($fault === null ? $asked->fault === null : str_contains((string) $asked->fault, $fault))
        ->toBeTrue();
})->with([
    'as planned' => [[], [], 'When?', 'P-1', '2027-01-08', null],
    'with more words' => [['text' => 'At noon'], ['textTag' => 'text'], "When?\nAt noon", 'P-1', '2027-01-08', null],
    'by a day' => [['day' => '2027-03-01'], ['dueTag' => 'day'], 'When?', 'P-1', '2027-03-01', null],
    'by a day that is past' => [['day' => '2026-12-31'], ['dueTag' => 'day'], 'When?', 'P-1', '2026-12-31', 'past'],
    'by no day at all' => [['day' => 'soon'], ['dueTag' => 'day'], 'When?', 'P-1', null, 'no day'],
    'about another item' => [['item' => 'P-2'], ['itemTag' => 'item'], 'When?', 'P-2', '2027-01-08', null],
    'about what is not affected' => [['item' => 'P-9'], ['itemTag' => 'item'], 'When?', 'P-9', '2027-01-08', 'not affected'],
]);

it('asks nothing for an empty box, and tells when there is no item to ask about', function (): void {
    $mapping = [new Mapping('box', 'Visit', null, TagUse::Question, question: plan())];
    expect(returned($mapping, []))
        ->toBe([])
        ->and(returned($mapping, ['box' => 'yes'], [])[0]->fault)
        ->toContain('names no item');
});

it('makes a task of a box that is ticked, with the words and by the day that are written', function (
    array $values,
    ?string $textTag,
    ?string $dueTag,
    string $after,
    ?string $due,
    ?string $fault,
): void {
    $plan = new TaskPlan('purchasing', 'Ask the maker', 'group:purchasing', 7, $textTag, $dueTag);
    $task = returned([new Mapping('box', 'Ask', null, TagUse::Task, task: $plan)], $values + ['box' => 'yes'])[0];
    expect([$task->after, $task->due?->__toString(), $task->fault])
        ->toBe([$after, $due, $fault])
        ->and(returned([new Mapping('box', 'Ask', null, TagUse::Task, task: $plan)], []))
        ->toBe([]);
})->with([
    'as planned' => [[], null, null, 'Ask the maker', '2027-01-08', null],
    'with words' => [['text' => 'By phone'], 'text', null, "Ask the maker\nBy phone", '2027-01-08', null],
    'by a day' => [['day' => '2027-03-01'], null, 'day', 'Ask the maker', '2027-03-01', null],
    'by a day that is past' => [['day' => '2026-12-31'], null, 'day', 'Ask the maker', '2026-12-31', 'The day 2026-12-31 is past.'],
    'with more words than a task holds' => [
        ['text' => str_repeat('x', 5_001)],
        'text',
        null,
        "Ask the maker\n" . str_repeat('x', 5_001),
        '2027-01-08',
        'At most 5,000 characters.',
    ],
]);

it('cuts no question that is too long: it says so', function (): void {
    $asked = returned([new Mapping('text', 'Ask', null, TagUse::Question, question: plan())], ['text' => str_repeat('x', 2_000)])[0];
    expect($asked->fault)->toBe('At most 2,000 characters.');
});

it('refuses a mapping that cannot be, every fault at its place', function (Mapping $mapping, string $place): void {
    $kinds = [
        'text' => ControlKind::Text,
        'box' => ControlKind::Check,
        'day' => ControlKind::Date,
        'item' => ControlKind::Choice,
        'photo' => ControlKind::Picture,
    ];
    $controls = [];
    foreach ($kinds as $tag => $kind) {
        $controls[$tag] = new Control($tag, $kind, $tag, '');
    }
    $good = new Mapping('text', 'Title', RecordField::Title, TagUse::Field, RecordField::Title);
    Mapping::check([$good], $controls);
    try {
        Mapping::check([$good, $mapping], $controls);
        expect(false)->toBeTrue();
    } catch (Refusal $refusal) {
        expect(array_keys($refusal->reasons))->toBe(["mapping.1.{$place}"]);
    }
})->with([
    [new Mapping('gone', 'x', null, TagUse::Nothing), 'tag'],
    [new Mapping('box', 'x', RecordField::Title, TagUse::Nothing), 'fill'],
    [new Mapping('box', 'x', null, TagUse::Attachment), 'use'],
    [new Mapping('photo', 'x', null, TagUse::Finding), 'use'],
    [new Mapping('item', 'x', null, TagUse::Field), 'field'],
    [new Mapping('item', 'x', RecordField::Number, TagUse::Field, RecordField::Number), 'field'],
    [new Mapping('item', 'x', null, TagUse::Field, RecordField::Site), 'fill'],
    [new Mapping('item', 'x', RecordField::Title, TagUse::Field, RecordField::Title), 'field'],
    [new Mapping('box', 'x', null, TagUse::Question), 'text'],
    [new Mapping('box', 'x', null, TagUse::Task), 'text'],
    [new Mapping('box', 'x', null, TagUse::Task, task: new TaskPlan('other', str_repeat('x', 201), 'a', 1)), 'text'],
    [new Mapping('box', 'x', null, TagUse::Task, task: new TaskPlan('other', 'x', 'a', 1, dueTag: 'text')), 'due_tag'],
    [new Mapping('day', 'x', null, TagUse::Task, task: new TaskPlan('other', 'x', 'a', 1)), 'use'],
    [new Mapping('box', 'x', null, TagUse::Question, question: plan(['textTag' => 'day'])), 'text_tag'],
    [new Mapping('box', 'x', null, TagUse::Question, question: plan(['dueTag' => 'text'])), 'due_tag'],
    [new Mapping('box', 'x', null, TagUse::Question, question: plan(['itemTag' => 'none'])), 'item_tag'],
]);
