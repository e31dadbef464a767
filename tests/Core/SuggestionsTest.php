<?php

declare(strict_types=1);

use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Manufacturing\CategoryWay;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Manufacturing\OnRecord;
use Orthotaxis\Core\Manufacturing\Sibling;
use Orthotaxis\Core\Manufacturing\Suggestion;
use Orthotaxis\Core\Manufacturing\Suggestions;
use Orthotaxis\Core\Manufacturing\TakenOver;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\OperationReader;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;
use Random\Randomizer;
use Tests\Core\Support\Make;

/** @param  array<int, string>  $titles  by number */
function operations(array $titles): Routing
{
    return new Routing(
        array_map(
            static fn(int $number, string $title) => (new OperationReader())->read("op{$number}", [
                'number' => (string) $number,
                'title' => $title,
                'work_centre' => 'PUMP',
            ]),
            array_keys($titles),
            $titles,
        ),
    );
}

function put(string $key, int $find, string $component, string $quantity, int $operation, Unit $unit = Unit::Piece, string $of = ''): Line
{
    return Make::line($key, $find, $component, $quantity, $unit)->with(['operation' => (string) $operation, 'takes_over' => $of]);
}

/**
 * What a planner reads: what says so, and what would be done.
 *
 * @param  array<string, Suggestion>  $suggestions
 * @return array<string, string> by the key of the engineering line
 */
function read(array $suggestions): array
{
    return array_map(
        static fn(Suggestion $one): string => trim("{$one->by->value} {$one->of}") .
            ': ' .
            implode(
                ', ',
                array_map(
                    static fn(Edit $edit): string => $edit instanceof AddLine
                        ? trim(
                            sprintf(
                                '%s %s %s at %s %s',
                                $edit->fields()['quantity'],
                                $edit->fields()['unit'],
                                $edit->fields()['component'],
                                $edit->fields()['operation'] ?? 'none',
                                isset($edit->fields()['scrap']) ? "scrap {$edit->fields()['scrap']}" : '',
                            ),
                        )
                        : $edit->inWords(),
                    $one->edits,
                ),
            ),
        $suggestions,
    );
}

/** The other pump head: a valve and its tube at the end, two of four screws first, the leaflet left out. */
beforeEach(function (): void {
    $declared = new Structure([
        Make::line('v', 10, '200-0060', '1'),
        Make::line('t', 20, '200-0040', '0.5', Unit::Metre),
        Make::line('s', 30, '600-0014', '4'),
        Make::line('d', 40, '820-0001', '1'),
    ]);
    $built = [
        put('bv', 10, '200-0060', '1', 50, of: 'v'),
        put('bt', 20, '200-0040', '500', 20, Unit::Millimetre, 't')->with(['scrap' => '4']),
        put('bs1', 30, '600-0014', '2', 10, of: 's'),
        put('bs2', 31, '600-0014', '2', 50, of: 's'),
    ];
    $this->sibling = new Sibling(
        '200-0020',
        Accountability::of($declared, $built, [], [OnRecord::leftOut('d', 'Shown at the work place.')]),
        operations([10 => 'Lay out', 20 => 'Fit the rotor', 50 => 'Close']),
    );
    $this->built = new ManufacturingContent(
        new Structure([put('at-housing', 10, '200-0011', '1', 10, of: 'housing')]),
        [],
        operations([10 => 'Lay out', 20 => 'Fit the rotor', 30 => 'Close']),
    );
    $this->suggested = fn(array $lines, array $ways = [], ?Sibling $sibling = null): array => read(
        Suggestions::of(
            Accountability::of(
                new Structure([Make::line('housing', 10, '200-0011', '1'), ...$lines]),
                array_values($this->built->structure->lines),
            ),
            $this->built,
            $sibling ?? $this->sibling,
            $ways,
        ),
    );
});

it('does as another item is built that has the same component, where the same is done', function (): void {
    expect(
        ($this->suggested)([
            Make::line('valve', 20, '200-0060', '1'),
            Make::line('tube', 30, '200-0040', '0.8', Unit::Metre),
            Make::line('screw', 40, '600-0014', '4'),
            Make::line('leaflet', 50, '820-0001', '1'),
        ]),
    )->toBe([
        // Operation 50 of the other is 30 here.
        'valve' => 'sibling 200-0020: 1 pc 200-0060 at 30',
        'tube' => 'sibling 200-0020: 800 mm 200-0040 at 20 scrap 4',
        'screw' => 'sibling 200-0020: 2 pc 600-0014 at 10, 2 pc 600-0014 at 30',
        'leaflet' => 'sibling 200-0020: left out on record: Shown at the work place.',
    ]);
});

it('says nothing by an example that does not fit: another split, another component', function (): void {
    expect(($this->suggested)([Make::line('screw', 20, '600-0014', '8'), Make::line('plug', 30, '200-0070', '1')]))->toBe([
        'screw' => 'neighbour: 8 pc 600-0014 at 10',
        'plug' => 'neighbour: 1 pc 200-0070 at 10',
    ]);
});

it('goes by the category where no example says how, and fasteners go where the part before them does', function (): void {
    $ways = [
        '600-0014' => CategoryWay::of('Fasteners', TakenOver::WithBefore, ''),
        '700-0001' => CategoryWay::of('Labels', TakenOver::Last, ''),
        '710-0009' => CategoryWay::of('Cleaners', TakenOver::First, ''),
        '830-0001' => CategoryWay::of('Documents', TakenOver::LeftOut, 'Issued to the work place.'),
    ];
    expect(
        ($this->suggested)(
            [
                Make::line('valve', 20, '200-0060', '1'),
                Make::line('screw', 30, '600-0014', '8'),
                Make::line('cleaner', 40, '710-0009', '5', Unit::Gram),
                Make::line('label', 50, '700-0001', '1'),
                Make::line('leaflet', 60, '830-0001', '1'),
            ],
            $ways,
        ),
    )->toBe([
        'valve' => 'sibling 200-0020: 1 pc 200-0060 at 30',
        'screw' => 'category Fasteners: 8 pc 600-0014 at 30',
        'cleaner' => 'category Cleaners: 5 g 710-0009 at 10',
        'label' => 'category Labels: 1 pc 700-0001 at 30',
        'leaflet' => 'category Documents: left out on record: Issued to the work place.',
    ]);
});

it('goes by what the plant built before anything else', function (): void {
    $this->built = new ManufacturingContent(
        new Structure([put('at-housing', 10, '200-0011', '1', 20, of: 'housing')]),
        [],
        $this->built->routing,
    );
    $now = new Structure([Make::line('housing', 10, '200-0060', '1')]);
    $of = Accountability::of($now, array_values($this->built->structure->lines));
    expect(read(Suggestions::of($of, $this->built, $this->sibling)))->toBe(['housing' => 'before: Replaced by 200-0060']);
});

it('wants a reason where a category is left out', function (): void {
    expect(fn() => CategoryWay::of('Documents', TakenOver::LeftOut, ' '))->toThrow(Refusal::class, 'Say why it is left out');
});

it('gives an empty list once all that is suggested is taken, whatever the example', function (): void {
    Make::many(static function (Randomizer $random): void {
        $like = Make::structure($random);
        $plant = array_values(
            array_map(
                static fn(Line $line): Line => put(
                    "b-{$line->key}",
                    $line->find,
                    $line->component,
                    (string) $line->quantity,
                    10 * $random->getInt(1, 4),
                    $line->unit,
                    $line->key,
                ),
                $like->lines,
            ),
        );
        $declared = Make::structure($random);
        $sibling = new Sibling('like', Accountability::of($like, $plant), new Routing());
        $suggestions = Suggestions::of(Accountability::of($declared, []), new ManufacturingContent(), $sibling);
        $new = 0;
        $edits = [];
        foreach ($suggestions as $suggestion) {
            foreach ($suggestion->edits as $edit) {
                $edits[] = $edit instanceof AddLine ? $edit->of('new-' . ++$new) : $edit;
            }
        }
        $built = (new ManufacturingContent())->edited($edits);
        expect($built->faults())
            ->toBe([])
            ->and(Accountability::of($declared, array_values($built->structure->lines), [], $built->records)->open())
            ->toBe([]);
    });
});
