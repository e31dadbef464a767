<?php

declare(strict_types=1);

use Orthotaxis\Core\Rights\Duty;
use Orthotaxis\Core\Rights\Separation;

it('keeps nothing apart that is not set', function (): void {
    expect((new Separation([]))->bar(Duty::Sign, Duty::cases()))->toBeNull();
});

it('keeps the two of a pair apart, whichever comes first', function (Duty $one, Duty $other): void {
    $rule = new Separation([[$one, $other]]);
    expect($rule->bar($one, [$other]))->toBe($other)->and($rule->bar($other, [$one]))->toBe($one);
    foreach (array_filter(Duty::cases(), static fn(Duty $third): bool => !in_array($third, [$one, $other], true)) as $third) {
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
