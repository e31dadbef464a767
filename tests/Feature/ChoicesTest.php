<?php

declare(strict_types=1);

use App\People\ShippedRole;
use App\Structures\StructureView;
use App\Vocabulary\ChoiceList;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->world->people['jonas']->update(['roles' => [ShippedRole::Administrator->value]]);
    $this->add = fn(array $choice, string $by = 'jonas') => $this->world->as($by, 'POST', '/choices', $choice);
    $this->report = fn(string $site) => $this->world->as('nils', 'POST', '/reports', [
        'title' => 'Cracked bracket',
        'source' => 'field',
        'site' => $site,
        'severity' => 'high',
        'description' => 'Seen twice.',
        'items' => ['200-0010'],
    ]);
});

it('offers a site that was set up, and no longer one that is not wanted, without forgetting it', function (): void {
    ($this->report)('Holm')->assertStatus(422)->assertJsonPath('errors.site.0', 'Choose the site.');
    ($this->add)(['list' => 'site', 'code' => 'Holm', 'name' => 'Holm, castings'])->assertOk();
    $number = ($this->report)('Holm')->assertOk()->json('report.number');
    $row = collect($this->world->as('vera', 'GET', '/choices')->json())->firstWhere('code', 'Holm');
    expect($row)->toMatchArray(['list' => 'site', 'name' => 'Holm, castings', 'retired' => false, 'version' => 1]);
    $this->world->as('jonas', 'PATCH', '/choices/site/Holm', ['name' => 'Holm, closed', 'retired' => true, 'version' => 1])->assertOk();
    ($this->report)('Holm')->assertStatus(422);
    $this->world->as('vera', 'GET', "/reports/{$number}")->assertJsonPath('report.site', 'Holm');
    expect(ChoiceList::Site->offered(''))
        ->not->toHaveKey('Holm')
        ->and(ChoiceList::Site->offered('Holm'))
        ->toHaveKey('Holm', 'Holm, closed');
    $this->artisan('ledger:verify')->assertSuccessful();
    expect(DB::table('ledger')->where('act', 'like', 'choice.%')->orderBy('number')->pluck('act')->all())->toBe([
        'choice.added',
        'choice.set',
    ]);
});

it('takes a new site for a plant', function (): void {
    $tree = fn() => $this->world->as('vera', 'GET', '/items/200-0001/structure?kind=manufacturing&plant=Holm');
    $tree()->assertStatus(422)->assertJsonPath('errors.plant.0', 'There is no plant Holm.');
    ($this->add)(['list' => 'site', 'code' => 'Holm', 'name' => 'Holm'])->assertOk();
    $tree()->assertOk()->assertJsonPath('plant', 'Holm');
    expect(array_map(static fn(StructureView $view): string => $view->name(), StructureView::all()))->toContain('manufacturing-Holm');
});

it('refuses what cannot be, at its place, and changes nothing', function (array $choice, string $place, string $why): void {
    $before = DB::table('choices')->count();
    ($this->add)($choice + ['list' => 'reason', 'code' => 'audit', 'name' => 'Audit finding'])
        ->assertStatus(422)
        ->assertJsonPath("errors.{$place}.0", fn(string $said): bool => str_contains($said, $why));
    expect(DB::table('choices')->count())->toBe($before);
})->with([
    'no code' => [['code' => ''], 'code', 'Give it a code'],
    'a code with a space' => [['code' => 'two words'], 'code', 'letters, digits'],
    'a way out of a folder' => [['code' => '../x'], 'code', 'letters, digits'],
    'a line break behind it' => [['code' => "x\n\ny"], 'code', 'letters, digits'],
    'a list in place of a code' => [['code' => ['x']], 'code', 'Give this as text'],
    'too long' => [['code' => str_repeat('x', 31)], 'code', 'At most 30'],
    'there already' => [['code' => 'DEFECT'], 'code', 'There is defect in this list'],
    'no name' => [['name' => ' '], 'name', 'Give it a name'],
    'no such list' => [['list' => 'priority'], 'list', ''],
]);

it('keeps the change of whoever was first, and lets nobody without the right', function (): void {
    $set = fn(string $by, int $version) => $this->world->as($by, 'PATCH', '/choices/reason/defect', [
        'name' => 'Fault',
        'retired' => false,
        'version' => $version,
    ]);
    $set('mira', 1)->assertStatus(403);
    ($this->add)(['list' => 'site', 'code' => 'x', 'name' => 'x'], 'mira')->assertStatus(403);
    $set('jonas', 1)->assertOk();
    $set('jonas', 1)->assertStatus(409)->assertJsonPath('theirs.name', 'Fault');
    $this->world->as('jonas', 'PATCH', '/choices/reason/nothing', ['name' => 'x', 'retired' => false, 'version' => 1])->assertStatus(404);
});
