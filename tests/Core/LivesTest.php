<?php

declare(strict_types=1);

use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Assessment\Standing;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Report\ReportState;
use Random\Randomizer;
use Tests\Core\Support\Make;

/**
 * Every state, and all that it may become: the whole of a life on one page. What is not said here may not happen.
 *
 * @return array<string, array{class-string<BackedEnum>, array<string, list<string>>}>
 */
function lives(): array
{
    return [
        'report' => [
            ReportState::class,
            [
                'open' => ['returned', 'answered', 'gathered', 'duplicate'],
                'returned' => ['open', 'answered', 'gathered', 'duplicate'],
                'answered' => ['open'],
                // Gathered into several requests, one after another.
                'gathered' => ['open', 'gathered'],
                'duplicate' => ['open'],
            ],
        ],
        'request' => [
            RequestState::class,
            [
                'raised' => ['assessing', 'gathered'],
                'assessing' => ['approved', 'rejected', 'returned', 'gathered'],
                'returned' => ['assessing', 'raised', 'gathered'],
                'approved' => ['ordered'],
                'rejected' => [],
                // When its order is withdrawn, it is without one again.
                'ordered' => ['approved'],
                'gathered' => ['raised'],
            ],
        ],
        'order' => [
            OrderState::class,
            [
                'planning' => ['revising', 'withdrawn'],
                'revising' => ['in_review', 'withdrawn'],
                'in_review' => ['signed', 'revising'],
                'signed' => ['released', 'revising'],
                'released' => ['closed'],
                'closed' => [],
                'withdrawn' => [],
                // What it holds is copied into an order: it becomes none itself.
                'proposed' => [],
            ],
        ],
    ];
}

it('goes from state to state as its life says, and no other way', function (string $states, array $life): void {
    expect(array_column($states::cases(), 'value'))->toEqualCanonicalizing(array_keys($life));
    foreach ($states::cases() as $from) {
        $may = array_filter($states::cases(), static fn(BackedEnum $next): bool => $from->mayBecome($next));
        expect(array_column($may, 'value'))->toEqualCanonicalizing($life[$from->value]);
    }
})->with(lives());

it('can reach every state from its first', function (string $states, array $life): void {
    $reached = [array_key_first($life)];
    for ($at = 0; $at < count($reached); $at++) {
        $reached = array_values(array_unique([...$reached, ...$life[$reached[$at]]]));
    }
    expect($reached)->toEqualCanonicalizing(array_values(array_diff(array_keys($life), [OrderState::Proposed->value])));
})->with(lives());

it('never takes back a release or a rejection', function (): void {
    $after = static function (string $states, BackedEnum $from): array {
        $reached = [$from];
        for ($at = 0; $at < count($reached); $at++) {
            foreach ($states::cases() as $next) {
                if ($reached[$at]->mayBecome($next) && !in_array($next, $reached, true)) {
                    $reached[] = $next;
                }
            }
        }

        return $reached;
    };
    expect($after(OrderState::class, OrderState::Released))
        ->toBe([OrderState::Released, OrderState::Closed])
        ->and($after(RequestState::class, RequestState::Rejected))
        ->toBe([RequestState::Rejected])
        ->and($after(OrderState::class, OrderState::Withdrawn))
        ->toBe([OrderState::Withdrawn]);
});

it('is open as long as somebody has something to do for it', function (): void {
    $open = static fn(array $states): array => array_column(
        array_filter($states, static fn(BackedEnum $state): bool => $state->isOpen()),
        'value',
    );
    expect($open(ReportState::cases()))
        ->toEqualCanonicalizing(['open', 'returned'])
        ->and($open(RequestState::cases()))
        ->toEqualCanonicalizing(['raised', 'assessing', 'returned', 'approved'])
        ->and($open(OrderState::cases()))
        ->toEqualCanonicalizing(['planning', 'revising', 'in_review', 'signed']);
});

it('is looked into only while nothing is decided, and planned only while nothing is judged', function (): void {
    foreach (RequestState::cases() as $state) {
        expect($state->isAssessed())->toBe(in_array($state, [RequestState::Raised, RequestState::Assessing], true));
        // What is looked into is open.
        expect($state->isAssessed() && !$state->isOpen())->toBeFalse();
    }
    foreach (OrderState::cases() as $state) {
        expect($state->allowsPlanning())->toBe($state->mayBecome(OrderState::Withdrawn));
    }
});

it('stands to an item as the worst of what was asked: overdue, waiting, answered, no effect', function (): void {
    $today = Day::parse('2026-11-25');
    $rank = static fn(QuestionState $state, bool $late): int => match (true) {
        $state === QuestionState::Waiting && $late => 4,
        $state === QuestionState::Waiting => 3,
        $state === QuestionState::Answered => 2,
        $state === QuestionState::NoEffect => 1,
        default => 0,
    };
    $expected = [Standing::NotAsked, Standing::NoEffect, Standing::Answered, Standing::Waiting, Standing::Overdue];
    Make::many(function (Randomizer $random) use ($today, $rank, $expected): void {
        $questions = $ranks = [];
        for ($i = $random->getInt(0, 6); $i > 0; $i--) {
            $state = QuestionState::cases()[$random->getInt(0, 3)];
            $due = $random->getInt(20, 30);
            $questions[] = [$state, Day::parse("2026-11-{$due}")];
            $ranks[] = $rank($state, $due < 25);
        }
        expect(Standing::of($questions, $today))
            ->toBe($expected[max([0, ...$ranks])])
            // The order of asking does not matter.
            ->and(Standing::of(array_reverse($questions), $today))
            ->toBe(Standing::of($questions, $today));
    });
});
