<?php

declare(strict_types=1);

use Orthotaxis\Core\Approval\SigningRule;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Check;
use Orthotaxis\Core\Change\EffectiveDate;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\OrderOfWork;
use Orthotaxis\Core\Change\OrderReadiness;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Change\StepState;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

$today = Day::parse('2026-11-23');
$unmet = fn (array $checks): array => array_values(array_map(fn (Check $check): string => $check->place, array_filter($checks, fn (Check $check): bool => ! $check->met)));

it('lets a request be decided only after it was assessed, and once', function (): void {
    expect(RequestState::Raised->mayBecome(RequestState::Approved))->toBeFalse()
        ->and(RequestState::Assessing->mayBecome(RequestState::Approved))->toBeTrue()
        ->and(RequestState::Returned->mayBecome(RequestState::Assessing))->toBeTrue()
        ->and(RequestState::Rejected->mayBecome(RequestState::Approved))->toBeFalse()
        ->and(RequestState::Raised->mayBecome(RequestState::Ordered))->toBeFalse();
});

it('lets an order be released only when it is signed, and never reopened', function (): void {
    foreach (OrderState::cases() as $state) {
        expect($state->mayBecome(OrderState::Released))->toBe($state === OrderState::Signed);
    }
    expect(OrderState::Released->mayBecome(OrderState::Revising))->toBeFalse()
        ->and(OrderState::InReview->allowsPlanning())->toBeFalse()
        ->and(OrderState::InReview->mayBecome(OrderState::Revising))->toBeTrue();
});

it('asks for nothing more when an order is ready for review', function () use ($today, $unmet): void {
    expect($unmet(OrderReadiness::forReview(Make::order(), $today)))->toBe([]);
});

it('names what is missing for review, and where', function (Order $order, string $place, string $reason) use ($today): void {
    $checks = array_filter(OrderReadiness::forReview($order, $today), fn (Check $check): bool => ! $check->met && $check->place === $place);
    expect(implode(' ', array_map(fn (Check $check): string => $check->reason, $checks)))->toContain($reason);
})->with([
    'no item' => fn () => [Make::order(items: []), 'items', 'at least one item'],
    'nothing edited' => fn () => [Make::order(items: [Make::orderItem(after: Make::pumpHead())]), 'edits', 'nothing is changed'],
    'a base that moved on' => fn () => [Make::order(items: [Make::orderItem(latest: 'C')]), 'items', 'is at revision C by now'],
    'an unreleased component' => fn () => [Make::order(items: [new OrderItem('200-0010', Outcome::Revise, null, 'B', 'B', null, Make::pumpHead(), new Structure, ['200-0041'])]), 'edits', '200-0041, which has no released revision'],
    'no disposition' => fn () => [Make::order(items: [new OrderItem('200-0010', Outcome::Revise, null, 'B', 'B', null, Make::pumpHead(), new Structure)]), 'items', 'what happens to what exists'],
    'edits that do not fit' => fn () => [Make::order(items: [new OrderItem('200-0010', Outcome::Revise, null, 'B', 'B', null, Make::pumpHead(), new Structure, [], ['Line 30 is gone.'])]), 'items', 'Line 30 is gone'],
    'no date' => fn () => [Make::order(date: null), 'effective_on', 'Set the effective date'],
    'a date in the past' => fn () => [Make::order(date: '2026-11-22'), 'effective_on', 'in the past'],
    'a date before the base begins' => fn () => [Make::order(date: '2026-11-23', items: [new OrderItem('200-0010', Outcome::Revise, null, 'B', 'B', Day::parse('2026-12-01'), Make::pumpHead(), new Structure)]), 'effective_on', 'itself takes effect'],
    'no signer' => fn () => [Make::order(signer: null), 'signer', 'Name the person'],
    'the author signs' => fn () => [Make::order(signer: 1), 'signer', 'cannot sign'],
    'the editor signs' => fn () => [Make::order(signer: 2), 'signer', 'cannot sign'],
    'find numbers twice' => fn () => [Make::order(items: [Make::orderItem(after: new Structure([Make::line('a', 10, 'P-1'), Make::line('b', 10, 'P-2')]))]), 'edits', 'find number 10'],
]);

it('takes today as effective date', function () use ($today): void {
    expect(EffectiveDate::fault(Make::order(date: '2026-11-23'), $today))->toBeNull();
});

it('gives the same digest to the same content, and another to any other', function (): void {
    $order = Make::order();
    expect(Make::order()->digest())->toBe($order->digest())
        ->and(Make::order(date: '2027-02-02')->digest())->not->toBe($order->digest())
        ->and(Make::order(items: [Make::orderItem(after: Make::pumpHead()->without('clamp'))])->digest())->not->toBe($order->digest())
        ->and(Make::order(items: [Make::orderItem(base: 'C')])->digest())->not->toBe($order->digest());
});

it('lets only the named other person sign what was on screen', function (): void {
    $order = Make::order(OrderState::InReview);
    SigningRule::check($order, 3, $order->digest());
    expect(fn () => SigningRule::check($order, 4, $order->digest()))->toThrow(Refusal::class, 'names another person')
        ->and(fn () => SigningRule::check($order, 2, $order->digest()))->toThrow(Refusal::class, 'raised or edited')
        ->and(fn () => SigningRule::check($order, 3, str_repeat('0', 64)))->toThrow(Refusal::class, 'not what you had on screen')
        ->and(fn () => SigningRule::check(Make::order(), 3, $order->digest()))->toThrow(Refusal::class, 'in review');
});

it('plans a release: next code, superseded code, lines from the date', function () use ($today): void {
    $order = Make::order(OrderState::Signed);
    $signed = Make::order(OrderState::Signed, signed: $order->digest());
    $plan = ReleasePlan::of($signed, $today);
    expect($plan->items[0]->revision)->toBe('C')->and($plan->items[0]->supersedes)->toBe('B')
        ->and((string) $plan->effectiveFrom)->toBe('2027-02-01')->and(count($plan->items[0]->lines))->toBe(3);
});

it('refuses to release what is not signed, or not what was signed', function () use ($today): void {
    expect(fn () => ReleasePlan::of(Make::order(OrderState::InReview), $today))->toThrow(Refusal::class, 'not signed')
        ->and(fn () => ReleasePlan::of(Make::order(OrderState::Signed, signed: str_repeat('0', 64)), $today))->toThrow(Refusal::class, 'not what was signed');
    $late = Make::order(OrderState::Signed);
    expect(fn () => ReleasePlan::of(Make::order(OrderState::Signed, signed: $late->digest()), Day::parse('2027-02-02')))->toThrow(Refusal::class, 'in the past');
});

it('says at which step a change is', function (?RequestState $request, ?OrderState $order, string $now): void {
    $steps = OrderOfWork::of($request, $order);
    expect(array_keys($steps, StepState::Now, true))->toBe([$now]);
})->with([
    [RequestState::Raised, null, 'assess'], [RequestState::Returned, null, 'take_in'], [RequestState::Approved, null, 'order'],
    [RequestState::Ordered, OrderState::Planning, 'order'], [RequestState::Ordered, OrderState::Revising, 'revise'],
    [null, OrderState::InReview, 'sign'], [null, OrderState::Signed, 'release'], [null, OrderState::Released, 'follow_through'],
]);

it('has no step left when a change is closed, rejected or withdrawn', function (): void {
    expect(OrderOfWork::of(RequestState::Ordered, OrderState::Closed))->not->toContain(StepState::Now)
        ->and(OrderOfWork::of(RequestState::Rejected, null))->not->toContain(StepState::Now)->toContain(StepState::NotNeeded)
        ->and(OrderOfWork::of(null, OrderState::Withdrawn))->not->toContain(StepState::Now);
});

it('asks for no disposition of what was never released', function () use ($today, $unmet): void {
    $kept = static fn (?string $latest): OrderItem => new OrderItem('200-0099', Outcome::Keep, null, null, $latest, null, new Structure, new Structure);
    $asked = static fn (?string $latest): array => $unmet(OrderReadiness::forReview(Make::order(items: [Make::orderItem(), $kept($latest)]), $today));
    expect($asked(null))->toBe([])->and($asked('A'))->toBe(['items']);
});
