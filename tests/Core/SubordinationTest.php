<?php

declare(strict_types=1);

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Subordination;
use Orthotaxis\Core\Change\TiedOrder;
use Orthotaxis\Core\Readiness\Check;
use Orthotaxis\Core\Readiness\NoEarlierThanParent;
use Orthotaxis\Core\Readiness\ParentIsReleased;
use Orthotaxis\Core\Readiness\Readiness;
use Orthotaxis\Core\Readiness\SubordinatesAreSigned;
use Orthotaxis\Core\Refusal;
use Tests\Core\Support\Make;

/* A part of a change that another team judges: an order of its own, which is not released before its parent. */

$today = Day::parse('2026-11-23');
$order = static fn(?TiedOrder $parent, array $subordinates = [], ?string $day = '2027-01-10'): Order => new Order(
    number: 'ECO-00002',
    state: OrderState::Signed,
    author: 1,
    editor: 2,
    signer: 3,
    effectiveOn: $day === null ? null : Day::parse($day),
    items: [],
    parent: $parent,
    subordinates: $subordinates,
);
$tied = static fn(OrderState $state, bool $together = false, ?string $day = null): TiedOrder => new TiedOrder(
    'ECO-00001',
    $state,
    $day === null ? null : Day::parse($day),
    $together,
);

it('is not released before its parent', function (OrderState $state, bool $together, string $said) use ($order, $tied, $today): void {
    expect((new ParentIsReleased())->fault($order($tied($state, $together)), $today))->toBe($said);
})->with([
    'in planning' => [OrderState::Planning, false, 'Its parent ECO-00001 is not released yet.'],
    'signed' => [OrderState::Signed, false, 'Its parent ECO-00001 is not released yet.'],
    'signed, together' => [OrderState::Signed, true, 'It is released together with its parent ECO-00001: release that one.'],
    'released' => [OrderState::Released, false, ''],
    'released, together' => [OrderState::Released, true, ''],
    'closed' => [OrderState::Closed, false, ''],
    'withdrawn' => [OrderState::Withdrawn, true, 'Its parent ECO-00001 was withdrawn. Make it subordinate to none, or withdraw it too.'],
]);

it('takes effect on the day of its parent or later', function (?string $own, ?string $parents, string $said) use (
    $order,
    $tied,
    $today,
): void {
    expect((new NoEarlierThanParent())->fault($order($tied(OrderState::Planning, false, $parents), [], $own), $today))->toBe($said);
})->with([
    ['2027-01-10', '2027-01-10', ''],
    ['2027-01-11', '2027-01-10', ''],
    ['2027-01-09', '2027-01-10', 'Its parent ECO-00001 takes effect on 10 Jan 2027. Set that day or a later one.'],
    ['2027-01-09', null, ''],
    [null, '2027-01-10', ''],
]);

it('holds up a parent only where both are released in one stroke', function () use ($order, $tied, $today): void {
    $fault = static fn(TiedOrder ...$some): string => (new SubordinatesAreSigned())->fault($order(null, $some), $today);
    expect($fault())
        ->toBe('')
        ->and($fault($tied(OrderState::Planning)))
        ->toBe('')
        ->and($fault($tied(OrderState::InReview, true), $tied(OrderState::Signed, true)))
        ->toBe('Not signed yet: ECO-00001.')
        ->and($fault($tied(OrderState::Signed, true), $tied(OrderState::Released, true), $tied(OrderState::Withdrawn, true)))
        ->toBe('');
});

it('asks for it at release, and for the day already before review', function () use ($order, $tied, $today): void {
    $names = static fn(array $checks): array => array_map(
        static fn(Check $check): string => $check->name,
        array_filter($checks, static fn(Check $check): bool => !$check->met),
    );
    $early = $order($tied(OrderState::Planning, false, '2027-02-01'), [$tied(OrderState::Planning, true)]);
    expect($names(Readiness::forRelease($early, $today)))
        ->toContain((new ParentIsReleased())->name(), (new SubordinatesAreSigned())->name(), (new NoEarlierThanParent())->name())
        ->and($names(Readiness::forReview($early, $today)))
        ->toContain((new NoEarlierThanParent())->name())
        ->not->toContain((new ParentIsReleased())->name());
});

it('makes no circle, however long the chain', function (): void {
    $refused = static function (string $order, string $parent, array $parents): ?string {
        try {
            Subordination::mustBeTree($order, $parent, $parents);
        } catch (Refusal $refusal) {
            return $refusal->reasons['parent'];
        }

        return null;
    };
    expect($refused('A', 'A', []))
        ->toBe('A cannot be subordinate to itself.')
        ->and($refused('A', 'B', []))
        ->toBeNull()
        ->and($refused('A', 'B', ['B' => 'A']))
        ->toBe('That would be a circle: A to B, which is subordinate to A.')
        ->and($refused('A', 'C', ['C' => 'B', 'B' => 'A', 'D' => 'A']))
        ->toBe('That would be a circle: A to C, which is subordinate to B, which is subordinate to A.')
        // One that has a parent already gets another.
        ->and($refused('A', 'C', ['A' => 'B', 'C' => 'B']))
        ->toBeNull();
});

it('stays a tree whatever is asked for', function () use (&$today): void {
    Make::many(function (Random\Randomizer $random): void {
        $parents = [];
        for ($at = 0; $at < 40; $at++) {
            [$order, $parent] = [chr($random->getInt(65, 74)), chr($random->getInt(65, 74))];
            try {
                Subordination::mustBeTree($order, $parent, $parents);
                $parents[$order] = $parent;
            } catch (Refusal) {
                continue;
            }
        }
        foreach (array_keys($parents) as $start) {
            for ($steps = 0, $at = $start; isset($parents[$at]); $at = $parents[$at]) {
                expect(++$steps)->toBeLessThan(11);
            }
        }
    }, 40);
});
