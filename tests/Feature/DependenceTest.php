<?php

declare(strict_types=1);

use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->page = fn(string $order): array => $this->world
        ->only('vera', 'GET', "/orders/{$order}/dependences")
        ->assertOk()
        ->json();
});

it('tells that one order uses what another releases first, and which has to go before', function (): void {
    $first = $this->world->opened();
    $second = $this->world->opened();
    $this->world
        ->only('mira', 'PUT', "/orders/{$first}/items/200-0099", [
            'outcome' => 'revise',
            'disposition' => null,
            'version' => $this->world->version($first),
        ])
        ->assertOk();
    expect(($this->page)($second))->toBe(['needs' => [], 'needed_by' => [], 'before' => [], 'circle' => [], 'same_lines' => []]);
    $this->world->edit($second, 'replace', 20, ['component' => '200-0099'])->assertOk();
    $needs = ($this->page)($second);
    expect([$needs['needs'][0]['order'], $needs['needs'][0]['of'], $needs['before']])
        ->toBe([$first, ['200-0099'], [$first]])
        ->and(($this->page)($first)['needed_by'][0]['order'])
        ->toBe($second)
        ->and(($this->page)($first)['before'])
        ->toBe([]);
    // Undone, nothing is needed any more.
    $this->world->only('jonas', 'POST', "/orders/{$second}/undo")->assertOk();
    expect(($this->page)($second)['needs'])->toBe([]);
});

it('tells which lines both edit, and who does', function (): void {
    $first = $this->world->opened();
    $second = $this->world->opened();
    $this->world->edit($first, 'change', 20, ['quantity' => '4'])->assertOk();
    expect(($this->page)($first)['same_lines'])->toBe([]);
    $this->world->edit($second, 'remove', 20)->assertOk();
    $same = ($this->page)($first)['same_lines'];
    expect([$same[0]['order'], $same[0]['of']])->toBe([$second, ['200-0010, find 20 200-0042, by Jonas']]);
    $this->world
        ->only('mira', 'POST', "/orders/{$second}/withdrawal", ['reason' => 'No.', 'version' => $this->world->version($second)])
        ->assertOk();
    expect(($this->page)($first)['same_lines'])->toBe([]);
});
