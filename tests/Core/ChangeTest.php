<?php

declare(strict_types=1);

use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Approval\SigningRule;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Base;
use Orthotaxis\Core\Change\EffectiveDate;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\OrderOfWork;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Change\StepState;
use Orthotaxis\Core\Change\Waiver;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Readiness\Check;
use Orthotaxis\Core\Readiness\ComponentsAreInForce;
use Orthotaxis\Core\Readiness\Readiness;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

$today = Day::parse('2026-11-23');
$unmet = fn(array $checks): array => array_values(
    array_map(fn(Check $check): string => $check->place, array_filter($checks, fn(Check $check): bool => !$check->met)),
);

it('lets a request be decided only after it was assessed, and once', function (): void {
    expect(RequestState::Raised->mayBecome(RequestState::Approved))
        ->toBeFalse()
        ->and(RequestState::Assessing->mayBecome(RequestState::Approved))
        ->toBeTrue()
        ->and(RequestState::Returned->mayBecome(RequestState::Assessing))
        ->toBeTrue()
        ->and(RequestState::Rejected->mayBecome(RequestState::Approved))
        ->toBeFalse()
        ->and(RequestState::Raised->mayBecome(RequestState::Ordered))
        ->toBeFalse();
});

it('lets an order be released only when it is signed, and never reopened', function (): void {
    foreach (OrderState::cases() as $state) {
        expect($state->mayBecome(OrderState::Released))->toBe($state === OrderState::Signed);
    }
    expect(OrderState::Released->mayBecome(OrderState::Revising))
        ->toBeFalse()
        ->and(OrderState::InReview->allowsPlanning())
        ->toBeFalse()
        ->and(OrderState::InReview->mayBecome(OrderState::Revising))
        ->toBeTrue();
});

it('asks for nothing more when an order is ready for review', function () use ($today, $unmet): void {
    expect($unmet(Readiness::forReview(Make::order(), $today)))->toBe([]);
});

it('names what is missing for review, and where', function (Order $order, string $place, string $reason) use ($today): void {
    $checks = array_filter(Readiness::forReview($order, $today), fn(Check $check): bool => !$check->met && $check->place === $place);
    expect(implode(' ', array_map(fn(Check $check): string => $check->reason, $checks)))->toContain($reason);
})->with([
    'no item' => fn() => [Make::order(items: []), 'items', 'at least one item'],
    'nothing edited' => fn() => [Make::order(items: [Make::orderItem(after: Make::pumpHead())]), 'edits', 'nothing is changed'],
    'a base that moved on' => fn() => [Make::order(items: [Make::orderItem(latest: 'C')]), 'items', 'is at revision C by now'],
    'an unreleased component' => fn() => [
        Make::order(items: [Make::orderItem(missing: ['uses 200-0041, which has no revision in force on 1 Feb 2027.'])]),
        'edits',
        '200-0010 uses 200-0041, which has no revision in force on 1 Feb 2027.',
    ],
    'no disposition' => fn() => [Make::order(items: [Make::orderItem(disposition: null)]), 'items', 'what happens to what exists'],
    'edits that do not fit' => fn() => [
        Make::order(
            items: [
                new OrderItem('200-0010', Outcome::Revise, null, new Base('B', 'B'), [
                    Work::on(new Subject(Subject::ENGINEERING, '200-0010'), new Base('B', 'B'), new EngineeringContent(Make::pumpHead()), [
                        new RemoveLine('gone'),
                    ]),
                ]),
            ],
        ),
        'items',
        'no longer in the structure',
    ],
    'no date' => fn() => [Make::order(date: null), 'effective_on', 'Set the effective date'],
    'a date in the past' => fn() => [Make::order(date: '2026-11-22'), 'effective_on', 'in the past'],
    'a date before the base begins' => fn() => [
        Make::order(date: '2026-11-23', items: [Make::orderItem(from: '2026-12-01')]),
        'effective_on',
        'itself takes effect',
    ],
    'no signer' => fn() => [Make::order(signer: null), 'signer', 'Name the person'],
    'the author signs' => fn() => [Make::order(signer: 1), 'signer', 'cannot sign'],
    'the editor signs' => fn() => [Make::order(signer: 2), 'signer', 'cannot sign'],
    'find numbers twice' => fn() => [
        Make::order(items: [Make::orderItem(after: new Structure([Make::line('a', 10, 'P-1'), Make::line('b', 10, 'P-2')]))]),
        'edits',
        'find number 10',
    ],
]);

it('takes today as effective date', function () use ($today): void {
    expect(EffectiveDate::fault(Make::order(date: '2026-11-23'), $today))->toBeNull();
});

it('gives the same digest to the same content, and another to any other', function (): void {
    $order = Make::order();
    expect(Digest::of(Make::order()))
        ->toBe(Digest::of($order))
        ->and(Digest::of(Make::order(date: '2027-02-02')))
        ->not->toBe(Digest::of($order))
        ->and(Digest::of(Make::order(items: [Make::orderItem(after: Make::pumpHead()->without('clamp'))])))
        ->not->toBe(Digest::of($order))
        ->and(Digest::of(Make::order(items: [Make::orderItem(base: 'C')])))
        ->not->toBe(Digest::of($order));
});

it('keeps what was signed by an earlier version of the digest signed, and nothing that it does not know', function () use ($today): void {
    // Written down before digests said their version.
    $old = 'b2995e376c566a949aa759d76069fbee6f6b1f3812d2da71344bbf5a3d241273';
    $release = fn(string $signed, ?array $items = null): array => Readiness::forRelease(
        Make::order(OrderState::Signed, $items, signed: $signed),
        $today,
    );
    $stands = fn(array $checks): bool => array_filter(
        $checks,
        static fn(Check $check): bool => $check->stops() && $check->place === 'signature',
    ) === [];
    expect($stands($release($old)))
        ->toBeTrue()
        ->and($stands($release('1:' . $old)))
        ->toBeTrue()
        ->and($stands($release($old, [Make::orderItem(after: Make::pumpHead()->without('clamp'))])))
        ->toBeFalse()
        ->and($stands($release('2:' . $old)))
        ->toBeFalse()
        ->and($stands($release('4:' . $old)))
        ->toBeFalse()
        ->and(fn() => SigningRule::check(Make::order(OrderState::InReview), Make::progress(), 3, $old))
        ->toThrow(Refusal::class, 'not what you had on screen');
});

it('lets a condition of judgement be let go as it was found, with a reason, and no other', function () use ($today): void {
    $order = static fn(string $condition, string $fault, string ...$missing): Order => new Order(
        'ECO-00001',
        OrderState::Revising,
        1,
        2,
        3,
        Day::parse('2027-02-01'),
        [Make::orderItem(missing: $missing)],
        [2],
        null,
        [new Waiver($condition, $fault, 7, 'Its release is certain.')],
    );
    [$tube, $clamp] = ['uses 200-0041.', 'uses 200-0049.'];
    $key = (new ComponentsAreInForce())->key();
    $found = (new ComponentsAreInForce())->fault($order($key, '', $tube), $today);
    $waived = Readiness::forReview($order($key, $found, $tube), $today);
    Readiness::mustHold($waived);
    $check = array_values(array_filter($waived, static fn(Check $check): bool => !$check->met))[0];
    expect($check->reason)
        ->toContain('200-0041')
        ->and($check->waiver?->reason)
        ->toBe('Its release is certain.')
        ->and($check->waivable)
        ->toBe($key);
    // Another fault is another matter, and so is another condition.
    foreach ([$order($key, $found, $tube, $clamp), $order('another_person_signs', $found, $tube)] as $other) {
        expect(fn() => Readiness::mustHold(Readiness::forReview($other, $today)))->toThrow(Refusal::class, '200-0041');
    }
});

it('lets only the named other person sign what was on screen', function (): void {
    $order = Make::order(OrderState::InReview);
    SigningRule::check($order, Make::progress(), 3, Digest::of($order));
    expect(fn() => SigningRule::check($order, Make::progress(), 4, Digest::of($order)))
        ->toThrow(Refusal::class, 'names another person')
        ->and(fn() => SigningRule::check($order, Make::progress(), 2, Digest::of($order)))
        ->toThrow(Refusal::class, 'raised or edited')
        ->and(fn() => SigningRule::check($order, Make::progress(), 3, str_repeat('0', 64)))
        ->toThrow(Refusal::class, 'not what you had on screen')
        ->and(fn() => SigningRule::check(Make::order(), Make::progress(), 3, Digest::of($order)))
        ->toThrow(Refusal::class, 'in review');
});

it('plans a release: next code, superseded code, lines from the date', function () use ($today): void {
    $order = Make::order(OrderState::Signed);
    $signed = Make::order(OrderState::Signed, signed: Digest::of($order));
    $plan = ReleasePlan::of($signed, $today);
    expect($plan->items[0]->revision)
        ->toBe('C')
        ->and($plan->items[0]->supersedes)
        ->toBe('B')
        ->and((string) $plan->effectiveFrom)
        ->toBe('2027-02-01')
        ->and(count($plan->items[0]->lines))
        ->toBe(3);
});

it('refuses to release what is not signed, or not what was signed', function () use ($today): void {
    expect(fn() => ReleasePlan::of(Make::order(OrderState::InReview), $today))
        ->toThrow(Refusal::class, 'not signed')
        ->and(fn() => ReleasePlan::of(Make::order(OrderState::Signed, signed: str_repeat('0', 64)), $today))
        ->toThrow(Refusal::class, 'not what was signed');
    $late = Make::order(OrderState::Signed);
    expect(fn() => ReleasePlan::of(Make::order(OrderState::Signed, signed: Digest::of($late)), Day::parse('2027-02-02')))->toThrow(
        Refusal::class,
        'in the past',
    );
});

it('says at which step a change is', function (?RequestState $request, ?OrderState $order, string $now): void {
    $steps = OrderOfWork::of($request, $order);
    expect(array_keys($steps, StepState::Now, true))->toBe([$now]);
})->with([
    [RequestState::Raised, null, 'assess'],
    [RequestState::Returned, null, 'take_in'],
    [RequestState::Approved, null, 'order'],
    [RequestState::Ordered, OrderState::Planning, 'order'],
    [RequestState::Ordered, OrderState::Revising, 'revise'],
    [null, OrderState::InReview, 'sign'],
    [null, OrderState::Signed, 'release'],
    [null, OrderState::Released, 'follow_through'],
]);

it('has no step left when a change is closed, rejected or withdrawn', function (): void {
    expect(OrderOfWork::of(RequestState::Ordered, OrderState::Closed))
        ->not->toContain(StepState::Now)
        ->and(OrderOfWork::of(RequestState::Rejected, null))
        ->not->toContain(StepState::Now)
        ->toContain(StepState::NotNeeded)
        ->and(OrderOfWork::of(null, OrderState::Withdrawn))
        ->not->toContain(StepState::Now);
});

it('asks for no disposition of what was never released', function () use ($today, $unmet): void {
    $kept = static fn(?string $latest): OrderItem => new OrderItem('200-0099', Outcome::Keep, null, new Base(null, $latest));
    $asked = static fn(?string $latest): array => $unmet(
        Readiness::forReview(Make::order(items: [Make::orderItem(), $kept($latest)]), $today),
    );
    expect($asked(null))
        ->toBe([])
        ->and($asked('A'))
        ->toBe(['items']);
});
