<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->people['tomas']->update(['roles' => ['administrator']]);
    $this->plant = static fn(array $more = []): array => $more + [
        'time_zone' => 'Europe/Oslo',
        'weekdays' => [1, 2, 3, 4, 5],
        'shifts' => '14:00-22:00, 06:00-14:00',
        'days' => [['day' => '2026-12-25', 'works' => false, 'name' => 'Christmas']],
        'version' => 0,
    ];
    $this->set = fn(array $more = [], string $by = 'tomas') => $this->world->as($by, 'PUT', '/plants/Weir', ($this->plant)($more));
    $this->centre = ['code' => 'PUMP', 'name' => 'Pump line', 'rate' => '48.50'];
});

it('says when a plant works and where it is in time; every site is one', function (): void {
    $this->world
        ->as('vera', 'GET', '/plants')
        ->assertOk()
        ->assertJsonPath('*.code', ['Tarn', 'Weir'])
        ->assertJsonPath('1.version', 0)
        ->assertJsonPath('1.shifts', '');
    ($this->set)()
        ->assertOk()
        ->assertJsonPath('1.shifts', '06:00-14:00, 14:00-22:00')
        ->assertJsonPath('1.minutes', 960)
        ->assertJsonPath('1.time_zone', 'Europe/Oslo')
        ->assertJsonPath('1.days.0.name', 'Christmas')
        ->assertJsonPath('0.version', 0);
    // What is left out is gone; the zone of the installation is none of its own.
    ($this->set)(['time_zone' => null, 'days' => [], 'weekdays' => [6, 3], 'version' => 1])
        ->assertOk()
        ->assertJsonPath('1.weekdays', [3, 6])
        ->assertJsonPath('1.days', [])
        ->assertJsonPath('1.time_zone', null);
    expect(DB::table('ledger')->where('act', 'plant.set')->pluck('subject')->all())->toBe(['Weir', 'Weir']);
});

it('refuses what no plant can be, at its place, and saves nothing', function (array $more, string $place): void {
    ($this->set)($more)
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('plants')->count())->toBe(0);
})->with([
    'closed on every day' => [['weekdays' => []], 'weekdays'],
    'an eighth day' => [['weekdays' => [8]], 'weekdays.0'],
    'no zone' => [['time_zone' => 'Tarnland/Here'], 'time_zone'],
    'no time' => [['shifts' => 'mornings'], 'shifts'],
    'shifts that overlap' => [['shifts' => '06:00-14:00, 13:00-22:00'], 'shifts'],
    'no day' => [['days' => [['day' => '2026-02-30', 'works' => false, 'name' => '']]], 'days.0.day'],
    'a day twice' => [
        ['days' => [['day' => '2026-12-25', 'works' => false, 'name' => ''], ['day' => '2026-12-25', 'works' => true, 'name' => '']]],
        'days.0.day',
    ],
]);

it('keeps what was set first, and lets nobody without the right', function (): void {
    ($this->set)()->assertOk();
    ($this->set)(['shifts' => '09:00-10:00'])->assertStatus(409);
    ($this->set)([], 'mira')->assertForbidden();
    $this->world->as('tomas', 'PUT', '/plants/Nowhere', ($this->plant)())->assertNotFound();
    expect(DB::table('plants')->value('shifts'))->toBe('06:00-14:00, 14:00-22:00');
});

it('sets up work centres with what an hour costs, and retires them without forgetting', function (): void {
    $add = fn(array $more = [], string $plant = 'Weir') => $this->world->as(
        'tomas',
        'POST',
        "/plants/{$plant}/work-centres",
        $more + $this->centre,
    );
    $add()
        ->assertOk()
        ->assertJsonPath('1.work_centres.0', [...$this->centre, 'retired' => false, 'version' => 1]);
    $add(['code' => 'pump'])
        ->assertStatus(422)
        ->assertJsonPath('errors.code.0', 'Weir has a work centre PUMP already.');
    // The same code at another plant is another one.
    $add([], 'Tarn')->assertOk();
    $add(['code' => 'two words'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['code']]);
    $add(['code' => 'NEW', 'rate' => '-1'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['rate']]);
    $add(['code' => 'NEW', 'rate' => 'dear'])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['rate']]);
    $set = fn(array $more) => $this->world->as(
        'tomas',
        'PATCH',
        '/plants/Weir/work-centres/PUMP',
        $more + ['name' => 'Pumps', 'rate' => '50'],
    );
    $set(['version' => 1, 'retired' => true])
        ->assertOk()
        ->assertJsonPath('1.work_centres.0', ['code' => 'PUMP', 'name' => 'Pumps', 'rate' => '50.00', 'retired' => true, 'version' => 2]);
    $set(['version' => 1])->assertStatus(409);
    $set([])->assertStatus(422);
    $this->world->as('tomas', 'PATCH', '/plants/Weir/work-centres/NONE', ['name' => 'x', 'rate' => '1', 'version' => 1])->assertNotFound();
    expect(DB::table('ledger')->where('act', 'like', 'work_centre.%')->count())->toBe(3);
});
