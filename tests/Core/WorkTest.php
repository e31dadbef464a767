<?php

declare(strict_types=1);

use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Base;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Readiness\Check;
use Orthotaxis\Core\Readiness\Readiness;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Revision\Sequence;
use Tests\Core\Support\Make;
use Tests\Core\Support\Note;
use Tests\Core\Support\Noted;

/* Whatever an order changes is a work on a subject: what judges, signs and releases knows no kind of content by name. */

$today = Day::parse('2026-11-23');
$noted = static fn(string $after, ?string $newest = '1', array $edits = []): OrderItem => new OrderItem(
    '200-0010',
    Outcome::Keep,
    Disposition::UseUp,
    new Base('B', 'B'),
    [
        Work::on(
            new Subject('note', '200-0010', 'Weir'),
            new Base('1', $newest, Day::parse('2026-01-10'), Sequence::Numbers),
            new Noted('Handle with care.'),
            $edits === [] ? [new Note($after)] : $edits,
        ),
    ],
);

it('reckons after and what differs once, and leaves before as it is', function (): void {
    $before = new EngineeringContent(Make::pumpHead());
    $work = Work::on(new Subject(Subject::ENGINEERING, '200-0010'), new Base('B', 'B'), $before, [
        new ChangeLine('clamp', ['quantity' => '4']),
        new RemoveLine('screw'),
    ]);
    expect($work->changes())->toBe($work->changes())->toHaveCount(2)->and($work->before)->toBe($before)->and($work->broken)->toBe([]);
});

it('says why edits do not fit, and then changes nothing', function (): void {
    $work = Work::on(new Subject(Subject::ENGINEERING, '200-0010'), new Base('B', 'B'), new EngineeringContent(Make::pumpHead()), [
        new RemoveLine('screw'),
        new RemoveLine('gone'),
    ]);
    expect($work->broken)
        ->toBe(['This line is no longer in the structure: it was taken out.'])
        ->and($work->after)
        ->toBe($work->before)
        ->and($work->changes())
        ->toHaveCount(0);
});

it('is called by the kind and the plant, but for what engineering declares', function (): void {
    expect((string) new Subject(Subject::ENGINEERING, '200-0010'))
        ->toBe('200-0010')
        ->and((string) new Subject('manufacturing', '200-0010', 'Weir'))
        ->toBe('200-0010, manufacturing at Weir')
        ->and((string) new Subject('design', '200-0010'))
        ->toBe('200-0010, design');
});

it('judges any kind of content: what it says against itself, what it started from, from which day', function () use ($noted, $today): void {
    $unmet = static fn(OrderItem $item): array => array_values(
        array_map(
            static fn(Check $check): string => "{$check->place}: {$check->reason}",
            array_filter(
                Readiness::forReview(Make::order(items: [Make::orderItem(), $item]), $today),
                static fn(Check $check): bool => !$check->met,
            ),
        ),
    );
    expect($unmet($noted('Handle with gloves.')))
        ->toBe([])
        ->and($unmet($noted('')))
        ->toBe(['edits: 200-0010, note at Weir: It says nothing.'])
        ->and($unmet($noted('Handle with gloves.', '2')))
        ->toBe(['items: 200-0010, note at Weir is at revision 2 by now, the edits start from 1: bring the newer revision in.']);
});

it('signs any kind of content, and releases it beside the others', function () use ($noted, $today): void {
    $items = [Make::orderItem(), $noted('Handle with gloves.')];
    $digest = Digest::of(Make::order(OrderState::Signed, $items));
    expect($digest)
        ->toStartWith('3:')
        ->not->toBe(Digest::of(Make::order(OrderState::Signed, [Make::orderItem(), $noted('Handle with tongs.')])))
        ->not->toBe(Digest::of(Make::order(OrderState::Signed, [Make::orderItem()])));
    $plan = ReleasePlan::of(Make::order(OrderState::Signed, $items, signed: $digest), $today);
    expect(array_map(static fn($one): string => "{$one->subject} {$one->supersedes} {$one->revision}", $plan->contents))
        ->toBe(['200-0010 B C', '200-0010, note at Weir 1 2'])
        ->and($plan->items)
        ->toHaveCount(1);
});

it('keeps what was signed before orders could hold other contents', function (): void {
    // As version 2 reckoned it, before works were of several kinds.
    $order = Make::order(OrderState::Signed);
    expect(Digest::covers('2:d494b830fcb76161ecb037fd4429369f271a4df15cc95273def29af97a4b242d', $order))
        ->toBeTrue()
        ->and(Digest::covers('3:d494b830fcb76161ecb037fd4429369f271a4df15cc95273def29af97a4b242d', $order))
        ->toBeFalse();
});

it('takes whoever edits a part of an order for one of its proposers', function (): void {
    $work = Work::on(
        new Subject(Subject::ENGINEERING, '200-0010'),
        new Base('B', 'B'),
        new EngineeringContent(Make::pumpHead()),
        [],
        editor: 9,
    );
    $order = Make::order(items: [new OrderItem('200-0010', Outcome::Revise, null, new Base('B', 'B'), [$work])]);
    expect($order->proposers())->toBe([1, 2, 9]);
});
