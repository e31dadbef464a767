<?php

declare(strict_types=1);

use Orthotaxis\Core\Change\OrderOfRelease;

it('puts what is needed before what needs it, however far', function (): void {
    $needs = ['case' => ['bracket', 'seal'], 'bracket' => ['screw'], 'seal' => ['screw'], 'other' => ['case']];
    $of = OrderOfRelease::of('case', $needs);
    expect($of->circle)
        ->toBe([])
        ->and($of->before)
        ->toBe(['screw', 'bracket', 'seal'])
        ->and(OrderOfRelease::of('screw', $needs)->before)
        ->toBe([]);
});

it('tells those that wait for each other', function (): void {
    $needs = ['case' => ['bracket'], 'bracket' => ['screw'], 'screw' => ['bracket']];
    expect(OrderOfRelease::of('case', $needs)->circle)
        ->toBe(['bracket', 'screw', 'bracket'])
        ->and(OrderOfRelease::of('case', $needs)->before)
        ->toBe([])
        ->and(OrderOfRelease::of('case', ['case' => ['case']])->circle)
        ->toBe(['case', 'case']);
});
