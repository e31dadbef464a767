<?php

declare(strict_types=1);

use Orthotaxis\Core\Belonging\Belongings;
use Orthotaxis\Core\Belonging\DescribedBy;
use Orthotaxis\Core\Belonging\LeftBehind;
use Orthotaxis\Core\Belonging\ModelledBy;
use Orthotaxis\Core\Belonging\Standing;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Base;
use Orthotaxis\Core\Change\Belonging;
use Orthotaxis\Core\Change\BelongingKind;
use Orthotaxis\Core\Change\BelongingState;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Readiness\Readiness;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

/** The pump head goes from B to C. */
$head = Make::order();
$alone = fn(array $found): array => array_map(fn(Belonging $one): array => [$one->number, $one->state->value, $one->fault], $found);
$released = ['800-0011' => Standing::Released, '800-0012' => Standing::Released];

it('finds the drawing that would stay at an old revision, and leaves alone what shows the coming one or none', function () use (
    $head,
    $alone,
    $released,
): void {
    $found = Belongings::of(
        $head,
        [
            new DescribedBy('200-0010', '800-0011', 'B'),
            new DescribedBy('200-0010', '800-0012', null),
            new DescribedBy('200-0010', '800-0013', 'C'),
            new DescribedBy('200-0099', '800-0014', 'A'),
        ],
        $released + ['800-0013' => Standing::Released, '800-0014' => Standing::Released],
        [],
    );
    expect($alone($found))->toBe([['800-0011', 'open', 'shows revision B, not C, which comes.']]);
});

it('takes a drawing under the same order along, and one that adopts is settled', function () use ($alone, $released): void {
    $order = Make::order(items: [Make::orderItem(), Make::orderItem(new Structure(), new Structure(), number: '800-0011')]);
    $found = Belongings::of(
        $order,
        [new DescribedBy('200-0010', '800-0011', 'B'), new DescribedBy('200-0010', '800-0012', 'B', adopts: true)],
        $released,
        [],
    );
    expect($alone($found))->toBe([['800-0011', 'along', ''], ['800-0012', 'adopts', '']]);
});

it('tells a document of which nothing is released, or that is retired, whatever it shows', function () use ($head, $alone): void {
    $found = Belongings::of(
        $head,
        [
            new DescribedBy('200-0010', '800-0011', null),
            new DescribedBy('200-0010', '800-0012', 'C'),
            new DescribedBy('200-0010', '800-0013', null),
        ],
        ['800-0011' => Standing::Never, '800-0012' => Standing::Retired],
        [],
    );
    expect($alone($found))->toBe([
        ['800-0011', 'open', 'is not released.'],
        ['800-0012', 'open', 'is retired.'],
        ['800-0013', 'open', 'is not released.'],
    ]);
});

it('finds the design model that would stay at an old revision, and is content with one that is brought', function () use (
    $head,
    $alone,
): void {
    $found = fn(ModelledBy ...$models): array => $alone(Belongings::of($head, [], [], [], $models));
    expect($found(new ModelledBy('200-0010', 'B', comes: false)))
        ->toBe([['200-0010', 'open', 'its design model is of revision B: none is brought for C.']])
        ->and($found(new ModelledBy('200-0010', 'B', comes: true)))
        ->toBe([['200-0010', 'along', '']])
        ->and($found(new ModelledBy('200-0010', 'C', comes: false), new ModelledBy('200-0099', 'A', comes: false)))
        ->toBe([]);
});

it('asks nothing of documents of what gets no new revision', function () use ($released): void {
    $keep = new OrderItem('200-0010', Outcome::Build, null, new Base('B', 'B'));
    expect(Belongings::of(Make::order(items: [$keep]), [new DescribedBy('200-0010', '800-0011', 'A')], $released, []))->toBe([]);
});

it('tells once what several operations name and nobody has released', function () use ($alone): void {
    $routing = new Routing([
        new Operation('a', 10, 'Press', instruction: '820-0001', tools: ['900-0001']),
        new Operation('b', 20, 'Turn', tools: ['900-0001'], specification: '820-0002'),
    ]);
    $content = new ManufacturingContent(routing: $routing);
    $work = Work::on(new Subject(Subject::MANUFACTURING, '200-0010', 'Tarn'), new Base('B', 'B'), $content, []);
    $item = new OrderItem('200-0010', Outcome::Build, null, new Base('B', 'B'), [$work]);
    $order = Make::order(items: [$item]);
    expect(Belongings::named($order))->toBe(['820-0001', '900-0001', '820-0002']);
    $standing = ['820-0001' => Standing::Released, '900-0001' => Standing::Never, '820-0002' => Standing::Retired];
    expect($alone(Belongings::of($order, [], $standing, [])))->toBe([
        ['900-0001', 'open', 'is named by operations Tarn 10, Tarn 20, and is not released.'],
        ['820-0002', 'open', 'is named by operation Tarn 20, and is retired.'],
    ]);
});

it('tells a line that stays at a revision of a component which gets another one under the same order', function () use ($alone): void {
    $module = new Structure([
        Make::line('head', 10, '200-0010', '1', Unit::Piece, revision: 'B'),
        Make::line('other', 20, '200-0010', '1', Unit::Piece),
        Make::line('coming', 30, '200-0010', '1', Unit::Piece, revision: 'C'),
    ]);
    $order = Make::order(items: [Make::orderItem(), Make::orderItem(new Structure(), $module, number: '200-0001')]);
    expect($alone(Belongings::of($order, [], [], [])))->toBe([['200-0010', 'open', 'stays at revision B in line 10, and C comes.']]);
});

it('holds a decision to leave something only as long as the same is found', function () use ($head, $released): void {
    $left = new LeftBehind('200-0010', BelongingKind::Document, '800-0011', 'shows revision B, not C, which comes.', 'Only a label.');
    $shows = fn(string $revision): Belonging => Belongings::of($head, [new DescribedBy('200-0010', '800-0011', $revision)], $released, [
        $left,
    ])[0];
    expect($shows('B')->state)
        ->toBe(BelongingState::Left)
        ->and($shows('B')->reason)
        ->toBe('Only a label.')
        ->and($shows('A')->state)
        ->toBe(BelongingState::Open);
});

it('keeps an order from review and release while something is open, and is not spoken of where nothing is found', function () use (
    $head,
    $released,
): void {
    $check = function (array $documents, array $left) use ($head, $released): array {
        $order = $head->judged([], belongings: Belongings::of($head, $documents, $released, $left));
        $named = fn(array $checks): array => array_values(
            array_filter($checks, fn($one): bool => str_starts_with($one->name, 'What belongs')),
        );

        return [
            ...$named(Readiness::forReview($order, Day::parse('2027-01-01'))),
            ...$named(Readiness::forRelease($order, Day::parse('2027-01-01'))),
        ];
    };
    $shown = [new DescribedBy('200-0010', '800-0011', 'B')];
    $left = new LeftBehind('200-0010', BelongingKind::Document, '800-0011', 'shows revision B, not C, which comes.', 'Only a label.');
    expect($check([], []))->toBe([]);
    foreach ($check($shown, []) as $one) {
        expect([$one->met, $one->reason, $one->place])->toBe([
            false,
            '200-0010: 800-0011 shows revision B, not C, which comes.',
            'belongings',
        ]);
    }
    expect($check($shown, []))
        ->toHaveCount(2)
        ->and(array_column($check($shown, [$left]), 'met'))
        ->toBe([true, true]);
});
