<?php

declare(strict_types=1);

use Orthotaxis\Core\Rights\Duty;
use Orthotaxis\Core\Rights\Separation;

it('keeps raising and editing from signing, whatever is set', function (): void {
    $none = new Separation([]);
    expect($none->bar(Duty::Sign, [Duty::Originate]))
        ->toBe(Duty::Originate)
        ->and($none->bar(Duty::Sign, [Duty::Request, Duty::Edit]))
        ->toBe(Duty::Edit)
        ->and($none->bar(Duty::Sign, [Duty::Request, Duty::Decide, Duty::Waive, Duty::Release, Duty::Close]))
        ->toBeNull();
});

it('keeps the two of a pair apart, whichever comes first', function (Duty $one, Duty $other): void {
    $rule = new Separation([[$one, $other]]);
    expect($rule->bar($one, [$other]))->toBe($other)->and($rule->bar($other, [$one]))->toBe($one);
    $fixed = array_merge(...Separation::always());
    foreach (array_filter(Duty::cases(), static fn(Duty $third): bool => !in_array($third, [$one, $other, ...$fixed], true)) as $third) {
        expect($rule->bar($third, [$one, $other]))->toBeNull()->and($rule->bar($one, [$third]))->toBeNull();
    }
})->with(
    array_merge(
        ...array_map(
            static fn(Duty $one): array => array_map(
                static fn(Duty $other): array => [$one, $other],
                array_values(array_filter(Duty::cases(), static fn(Duty $other): bool => $other !== $one)),
            ),
            Duty::cases(),
        ),
    ),
);
