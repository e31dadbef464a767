<?php

declare(strict_types=1);

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Format;
use Orthotaxis\Core\Impact\Reach;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\Tree;
use Tests\Core\Support\Make;
use Tests\Core\Support\Web;

$fixed = static fn(string $key, int $find, string $component, string $revision): Line => new Line(
    $key,
    $find,
    $component,
    Quantity::one(),
    Unit::Piece,
    revision: $revision,
);

it('opens the revision that a line names, and the one of the day where it names none', function () use ($fixed): void {
    $rows = iterator_to_array(
        Tree::rows(
            'KIT',
            [
                'KIT' => new Structure([$fixed('a', 10, 'HEAD', 'A'), Make::line('b', 20, 'HEAD')]),
                'HEAD' => new Structure([Make::line('c', 10, 'NEW-TUBE')]),
                Line::pinned('HEAD', 'A') => new Structure([Make::line('d', 10, 'OLD-TUBE')]),
            ],
            [],
            5,
            Quantity::one(),
        ),
        false,
    );
    expect(array_map(static fn($row): string => "{$row->level()} {$row->line->component}", $rows))->toBe([
        '1 HEAD',
        '2 OLD-TUBE',
        '1 HEAD',
        '2 NEW-TUBE',
    ]);
});

it('changes the fixed revision like any field, and drops it with the component', function () use ($fixed): void {
    $base = new Structure([$fixed('a', 10, 'HEAD', 'A')]);
    $newer = Apply::one($base, new ChangeLine('a', ['revision' => 'C']));
    $other = Apply::one($base, new ReplaceComponent('a', ['component' => 'TAIL']));
    $free = Apply::one($base, new ChangeLine('a', ['revision' => '']));
    expect($newer->line('a')?->revision)
        ->toBe('C')
        ->and($other->line('a')?->revision)
        ->toBeNull()
        ->and($free->line('a')?->revision)
        ->toBeNull();
    $difference = Comparison::of($base, $newer)->differences[0];
    expect($difference->kind)
        ->toBe(DifferenceKind::Changed)
        ->and($difference->fields)
        ->toBe([LineField::Revision]);
});

it('stands in what is signed', function () use ($fixed): void {
    $order = static fn(?string $revision): string => Digest::of(
        Make::order(OrderState::Signed, [
            Make::orderItem(
                after: Make::pumpHead()->with($revision === null ? Make::line('x', 90, 'HEAD') : $fixed('x', 90, 'HEAD', $revision)),
            ),
        ]),
    );
    expect($order('A'))->not->toBe($order('B'))->and($order('A'))->not->toBe($order(null));
});

it('counts the users of a fixed revision as users of the item, and fixed revisions only while something uses them', function (): void {
    // 9 is the tube, 8 one revision of it. The head (5) uses the tube, the kit (4) the fixed one. 6 is a revision of the
    // head that nothing names any more, 7 one that the old module (3) still names.
    $web = Web::of([[5, 9, 1], [4, 8, 2], [6, 9, 1], [7, 9, 1], [3, 7, 1], [2, 5, 1]]);
    $used = WhereUsed::of($web, 9, 100, [8], [6, 7, 8]);
    expect($used->parents)
        ->toEqualCanonicalizing([2, 3, 4, 5, 7])
        ->and((string) $used->quantity(4))
        ->toBe('2')
        ->and($used->through(4))
        ->toBe([9])
        ->and($used->tops())
        ->toEqualCanonicalizing([2, 3, 4]);
});

it('finds the same users whether they name a revision or not', function (): void {
    Make::many(function (Random\Randomizer $random): void {
        $lines = [];
        for ($i = 0; $i < 20; $i++) {
            $parent = $random->getInt(0, 9);
            $lines[] = [$parent, $random->getInt($parent + 1, 10), $random->getInt(1, 3)];
        }
        // 11 stands for a fixed revision of 10: some of the lines that name 10 name 11 in its place.
        $mixed = array_map(
            static fn(array $line): array => $line[1] === 10 && $random->getInt(0, 1) === 1 ? [$line[0], 11, $line[2]] : $line,
            $lines,
        );
        $all = static function (Adjacency $web, array $same): array {
            $used = WhereUsed::of($web, 10, 100, $same);
            $quantities = [];
            foreach ($used->parents as $parent) {
                $quantities[$parent] = [(string) $used->quantity($parent), $used->level($parent)];
            }
            ksort($quantities);

            return $quantities;
        };
        expect($all(Web::of($mixed), [11]))->toBe($all(Web::of($lines), []));
    });
});

it('does not count a revision that is named by a revision nobody uses', function (): void {
    // 9 the tube; 5 a revision of the head that uses it, named only by 4, an old revision of the module, which nothing names.
    $web = Web::of([[4, 5, 1], [5, 9, 1], [2, 9, 1]]);
    expect(WhereUsed::of($web, 9, 100, [], [4, 5])->parents)
        ->toBe([2])
        ->and(WhereUsed::of($web, 9, 100, [], [4, 5])->tops())
        ->toBe([2])
        ->and(Reach::of($web, [9 => []], 100, [4, 5])->levels)
        ->toBe([9 => 0, 2 => 1])
        // Named by a module that is built, it counts, and so does what it goes into.
        ->and(WhereUsed::of(Web::of([[3, 4, 1], [4, 5, 1], [5, 9, 1], [2, 9, 1]]), 9, 100, [], [4, 5])->parents)
        ->toBe([2, 5, 4, 3]);
});

it('is carried to planning with its line', function () use ($fixed): void {
    $item = Make::orderItem(after: Make::pumpHead()->with($fixed('x', 90, 'HEAD', 'A')));
    $plan = ReleasePlan::of(
        Make::order(OrderState::Signed, [$item], signed: Digest::of(Make::order(OrderState::Signed, [$item]))),
        Day::parse('2026-11-23'),
    );
    $document = Document::of($plan, 'Kit', 3, '2026-11-23T09:00:00Z');
    expect(array_column($document->records(), 'componentRevision', 'component'))
        ->toMatchArray(['HEAD' => 'A', '200-0011' => null])
        ->and(Format::Xml->write($document))
        ->toContain('component="HEAD" componentRevision="A"');
});
