<?php

declare(strict_types=1);

use Orthotaxis\Core\Rights\Place;
use Orthotaxis\Core\Rights\Role;

it('allows what it has, where it holds', function (array $plants, array $categories, ?Place $at, bool $allowed): void {
    $role = new Role(['plan_order'], $plants, $categories);
    expect($role->allows('plan_order', $at))->toBe($allowed)->and($role->allows('sign_order', $at))->toBeFalse();
})->with([
    'held to nothing' => [[], [], new Place(['Tarn'], ['pump']), true],
    'of its plant' => [['Weir'], [], new Place(['Weir']), true],
    'of its plant and another' => [['Weir'], [], new Place(['Tarn', 'Weir']), true],
    'of another plant alone' => [['Weir'], [], new Place(['Tarn']), false],
    'of no plant that is said yet' => [['Weir'], [], new Place(), true],
    'nothing in particular' => [['Weir'], ['pump'], null, true],
    'of a category below its own' => [[], ['pump'], new Place(['Tarn'], ['pump_tube', 'pump']), true],
    'of a category above its own' => [[], ['pump_tube'], new Place(['Tarn'], ['pump']), false],
    'of its plant, and not its category' => [['Weir'], ['pump'], new Place(['Weir'], ['case']), false],
    'of its category, and not its plant' => [['Weir'], ['pump'], new Place(['Tarn'], ['pump']), false],
]);

it('says whether it is held', function (): void {
    expect((new Role([]))->isHeld())
        ->toBeFalse()
        ->and((new Role([], ['Weir']))->isHeld())
        ->toBeTrue()
        ->and((new Role([], [], ['pump']))->isHeld())
        ->toBeTrue();
});
