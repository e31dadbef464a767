<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    DB::table('categories')->update([
        'number_prefix' => '200-',
        'number_width' => 4,
        'asked' => json_encode([['name' => 'finish', 'label' => 'Finish', 'required' => true]]),
    ]);
    $this->new = fn(array $other = []): array => $other + [
        'title' => 'Tube guide',
        'kind' => 'part',
        'category' => 'pump',
        'unit' => 'pc',
        'supply' => 'make',
        'attributes' => ['finish' => 'anodised'],
    ];
});

it('numbers a new item by the rule of its category, past numbers that are taken', function (): void {
    DB::table('categories')->update(['number_next' => 9]);
    $this->world->as('jonas', 'GET', '/item-number?category=pump')->assertOk()->assertJsonPath('number', '200-0009');
    $this->world
        ->as('jonas', 'POST', '/items', ($this->new)())
        ->assertOk()
        ->assertJsonPath('item.number', '200-0009')
        ->assertJsonPath('item.status', 'in_work');
    // 200-0010 has been there before.
    $this->world->as('jonas', 'POST', '/items', ($this->new)())->assertJsonPath('item.number', '200-0011');
    expect(DB::table('items')->where('number', '200-0009')->value('attributes'))->toContain('anodised');
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('says beside its field what is missing or wrong, and makes nothing', function (array $wrong, string $place): void {
    $before = DB::table('items')->count();
    $this->world
        ->as('jonas', 'POST', '/items', ($this->new)($wrong))
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
    expect(DB::table('items')->count())
        ->toBe($before)
        ->and(DB::table('categories')->value('number_next'))
        ->toBe(1);
})->with([
    [['title' => ''], 'title'],
    [['title' => str_repeat('x', 201)], 'title'],
    [['kind' => 'thing'], 'kind'],
    [['category' => 'no'], 'category'],
    [['unit' => 'ell'], 'unit'],
    [['supply' => ''], 'supply'],
    [['standard_cost' => 'cheap'], 'standard_cost'],
    [['mass_kg' => '-1'], 'mass_kg'],
    [['lead_time_days' => '1.5'], 'lead_time_days'],
    [['attributes' => []], 'attributes.finish'],
]);

it('lets nobody without the right make items or set rules', function (): void {
    $this->world->as('vera', 'POST', '/items', ($this->new)())->assertForbidden();
    $this->world
        ->setCategory('mira', 'pump', [
            'number_prefix' => 'P-',
            'number_width' => 5,
            'number_check' => true,
            'sequence' => 'numbers',
        ])
        ->assertForbidden();
});

it('is told by an administrator how a category is numbered', function (): void {
    $admin = $this->world->people['vera'];
    $admin->update(['roles' => ['administrator']]);
    $this->world
        ->setCategory('vera', 'pump', [
            'number_prefix' => 'P-',
            'number_width' => 5,
            'number_check' => true,
            'sequence' => 'numbers',
        ])
        ->assertOk()
        ->assertJsonPath('0.number_prefix', 'P-')
        ->assertJsonPath('0.sequence', 'numbers');
    $this->world->as('jonas', 'GET', '/item-number?category=pump')->assertJsonPath('number', 'P-00001-8');
    $this->world
        ->setCategory('vera', 'pump', [
            'number_prefix' => 'small letters',
            'number_width' => 99,
            'number_check' => true,
            'sequence' => 'numbers',
        ])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['number_prefix', 'number_width']]);
    $this->world
        ->setCategory('vera', 'pump', [
            'number_prefix' => 'P-',
            'number_width' => 5,
            'number_check' => true,
            'sequence' => 'runes',
        ])
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['sequence']]);
});

it('finds items by words, parts of numbers, errors of typing and properties', function (string $query, array $numbers): void {
    expect(
        $this->world
            ->as('vera', 'GET', "/items?{$query}")
            ->assertOk()
            ->json('rows.*.number'),
    )->toBe($numbers);
})->with([
    ['words=pump+head', ['200-0010']],
    ['words=0042', ['200-0042']],
    ['words=clmap', ['200-0042']],
    ['words=modul', ['200-0001']],
    ['words=modulle', ['200-0001']],
    ['status=in_work', ['200-0099']],
    ['kind=consumable', ['710-0001']],
    ['words=tube&used_in=200-0010', ['200-0040', '200-0042']],
    ['words=%25', []],
    ['category=none', []],
    ['supply=buy', []],
]);

it('refuses a filter that makes no sense', function (): void {
    $this->world
        ->as('vera', 'GET', '/items?used_in=no')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['used_in']]);
    $this->world
        ->as('vera', 'GET', '/items?status=shiny')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['status']]);
});
