<?php

declare(strict_types=1);

use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\PathStep;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Change\OrderState;
use Tests\Core\Support\Make;

it('waits for the one signer of an order, while it is in review and has not been signed', function (): void {
    expect(Progress::of(Make::order(OrderState::InReview))->acting)
        ->toBe([3])
        ->and(Progress::of(Make::order(OrderState::InReview))->awaits(4))
        ->toBeFalse()
        ->and(Progress::of(Make::order())->acting)
        ->toBe([])
        ->and(Progress::of(Make::order(OrderState::InReview, signer: null))->done)
        ->toBeFalse()
        ->and(Progress::on(Path::oneSigner(3), true, [3])->done)
        ->toBeTrue();
});

it('goes on when enough of a step have signed, each counted once, and asks nobody of a later step before', function (): void {
    // First two of quality, purchasing and production; then the manager.
    $path = new Path([new PathStep([1, 2, 3, 3], 2), new PathStep([9], 1)]);
    $at = fn(int ...$signed): array => [
        Progress::on($path, true, array_values($signed))->acting,
        Progress::on($path, true, array_values($signed))->lacking,
        Progress::on($path, true, array_values($signed))->done,
    ];
    expect($at())
        ->toBe([[1, 2, 3], 2, false])
        ->and($at(3))
        ->toBe([[1, 2], 1, false])
        ->and($at(3, 3))
        ->toBe([[1, 2], 1, false])
        ->and($at(9))
        ->toBe([[1, 2, 3], 2, false])
        ->and($at(3, 1))
        ->toBe([[9], 1, false])
        ->and($at(1, 3, 9))
        ->toBe([[], 0, true])
        ->and($path->names(9))
        ->toBeTrue()
        ->and($path->names(4))
        ->toBeFalse();
});
