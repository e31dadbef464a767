<?php

declare(strict_types=1);

use App\Orders\Models\ChangeOrder;
use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    // More than any page holds: 0001 to 0620, every other one bought.
    $category = Category::query()->value('id');
    Item::query()->insert(
        array_map(
            static fn(int $i): array => [
                'number' => sprintf('900-%04d', $i),
                'title' => $i % 2 === 0 ? "Washer {$i}" : "Spacer {$i}",
                'kind' => 'part',
                'category_id' => $category,
                'unit' => 'pc',
                'supply' => $i % 2 === 0 ? 'buy' : 'make',
                'sold' => false,
                'standard_cost' => $i === 7 ? null : (($i * 37) % 620) * 100,
            ],
            range(1, 620),
        ),
    );
});

it('gives items in pages with counts that are true', function (): void {
    $this->world
        ->as('vera', 'GET', '/items?words=900-')
        ->assertJsonPath('total', 620)
        ->assertJsonCount(100, 'rows')
        ->assertJsonPath('rows.0.number', '900-0001');
    $this->world
        ->as('vera', 'GET', '/items?words=900-&from=600')
        ->assertJsonPath('total', 620)
        ->assertJsonPath('from', 600)
        ->assertJsonCount(20, 'rows')
        ->assertJsonPath('rows.19.number', '900-0620');
    $this->world->as('vera', 'GET', '/items?words=900-&from=700')->assertJsonPath('total', 620)->assertJsonCount(0, 'rows');
    $this->world->as('vera', 'GET', '/items?words=900-&supply=buy&most=500')->assertJsonPath('total', 310)->assertJsonCount(310, 'rows');
    $this->world
        ->as('vera', 'GET', '/items?most=501')
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => ['most']]);
    $seen = [];
    for ($from = 0; $from < 620; $from += 100) {
        array_push($seen, ...$this->world->as('vera', 'GET', "/items?words=900-&sort=-cost&from={$from}")->json('rows.*.number'));
    }
    expect(array_unique($seen))->toHaveCount(620)->and(end($seen))->toBe('900-0007');
});

it('puts items in order by what a column says, numbers as numbers', function (string $sort, string $first): void {
    $this->world
        ->as('vera', 'GET', "/items?words=900-&sort={$sort}")
        ->assertOk()
        ->assertJsonPath('rows.0.number', $first);
})->with([['number', '900-0001'], ['-number', '900-0620'], ['cost', '900-0620'], ['title', '900-0001']]);

it('says by what items can be put in order', function (): void {
    $this->world
        ->as('vera', 'GET', '/items?sort=colour')
        ->assertStatus(422)
        ->assertJsonPath('errors.sort.0', fn(string $told): bool => str_contains($told, 'number, title'));
});

it('gives an exact number first, whatever else reads like it', function (): void {
    Item::query()->create([
        'number' => '900-00011',
        'title' => 'Sold',
        'kind' => 'part',
        'category_id' => Category::query()->value('id'),
        'unit' => 'pc',
        'supply' => 'buy',
        'sold' => true,
    ]);
    $this->world->as('vera', 'GET', '/items?words=900-0001')->assertJsonPath('rows.*.number', ['900-0001', '900-00011']);
});

it('exports all that the filter finds, and nothing else', function (): void {
    $file = $this->world->as('vera', 'GET', '/catalogue/csv?words=900-&supply=buy')->assertOk()->streamedContent();
    expect(substr_count($file, "\n"))->toBe(311)->and($file)->not->toContain('900-0001')->not->toContain('200-0010');
    expect(substr_count($this->world->as('vera', 'GET', '/catalogue/csv')->streamedContent(), "\n"))->toBe(
        621 + count($this->world->items),
    );
});

it('tells a mistyped number by its check digit, wherever it is typed', function (): void {
    DB::table('categories')->update(['number_prefix' => '310-', 'number_width' => 4, 'number_check' => true, 'number_next' => 57]);
    $right = $this->world
        ->as('mira', 'POST', '/items', ['title' => 'Regulator', 'kind' => 'part', 'category' => 'pump', 'unit' => 'pc', 'supply' => 'buy'])
        ->assertOk()
        ->json('item.number');
    $wrong = '310-0075' . substr($right, -2);
    $likely = fn(string $told): bool => str_contains($told, 'check digit does not fit') &&
        str_contains($told, "{$right} (differs at character 7)");
    $this->world->as('vera', 'GET', "/items?words={$wrong}")->assertJsonPath('hint', $likely);
    $this->world->as('vera', 'GET', "/items?words={$right}")->assertJsonPath('hint', null);
    $this->world
        ->as('jonas', 'POST', '/requests', $this->world->request(['items' => [$wrong]]))
        ->assertStatus(422)
        ->assertJsonPath('errors.items.0', $likely);
    $this->world
        ->as('vera', 'GET', "/comparison?left={$wrong}&right=200-0010")
        ->assertStatus(422)
        ->assertJsonPath('errors.left.0', $likely);
    $order = $this->world->opened();
    $this->world
        ->edit($order, 'replace', 10, ['component' => $wrong])
        ->assertStatus(422)
        ->assertJsonPath('errors.component.0', $likely);
    $this->world
        ->as('mira', 'PUT', "/orders/{$order}/items/{$wrong}", [
            'outcome' => 'keep',
            'disposition' => 'use_up',
            'version' => $this->world->version($order),
        ])
        ->assertStatus(422)
        ->assertJsonPath('errors.item.0', $likely);
});

it('finds changes by what they say, who is in them, what they name and when, in pages', function (): void {
    $order = $this->world->inReview();
    $request = ChangeOrder::query()->where('number', $order)->firstOrFail()->requests()->value('number');
    $other = $this->world
        ->as('tomas', 'POST', '/requests', $this->world->request(['title' => 'Longer hose', 'priority' => 'low', 'items' => ['600-0014']]))
        ->json('number');
    $find = fn(string $query): array => $this->world
        ->as('vera', 'GET', "/changes?{$query}")
        ->assertOk()
        ->json('rows.*.number');
    expect($find('show=all'))
        ->toEqualCanonicalizing([$order, $request, $other])
        ->and($find(''))
        ->toEqualCanonicalizing([$order, $other])
        ->and($find('show=closed'))
        ->toBe([$request])
        ->and($find('show=all&type=request,order&priority=low'))
        ->toBe([$other])
        ->and($find('show=all&priority=low,critical'))
        ->toHaveCount(3)
        ->and($find('step=sign'))
        ->toBe([$order])
        ->and($find('step=sign,assess'))
        ->toEqualCanonicalizing([$order, $other])
        ->and($find('person=helen'))
        ->toBe([$order])
        ->and($find('waits_for=helen'))
        ->toBe([$order])
        ->and($find('waits_for=jonas'))
        ->toBe([])
        ->and($find('show=all&item=600-0014'))
        ->toBe([$other])
        ->and($find('words=hose'))
        ->toBe([$other])
        ->and($find('show=all&since=' . World::day(0) . '&until=' . World::day(0)))
        ->toHaveCount(3)
        ->and($find('show=all&until=' . World::day(-1)))
        ->toBe([])
        ->and($find('show=all&sort=priority')[2])
        ->toBe($other)
        ->and($find('show=all&sort=-priority')[0])
        ->toBe($other);
    $this->world->as('vera', 'GET', '/changes?show=all&most=1&from=1&sort=number')->assertJsonPath('total', 3)->assertJsonCount(1, 'rows');
    $row = $this->world->as('vera', 'GET', '/changes?step=sign')->json('rows.0');
    expect($row)->toMatchArray([
        'type' => 'order',
        'state' => 'in_review',
        'step' => 'sign',
        'open' => true,
        'waits_for' => 'Helen',
        'raised_by' => 'Mira',
    ]);
});

it('says what is wrong with a question', function (string $query, string $place): void {
    $this->world
        ->as('vera', 'GET', "/changes?{$query}")
        ->assertStatus(422)
        ->assertJsonStructure(['errors' => [$place]]);
})->with([
    ['priority=urgent', 'priority'],
    ['step=lunch', 'step'],
    ['type=x', 'type'],
    ['since=soon', 'since'],
    ['sort=colour', 'sort'],
    ['from=-1', 'from'],
]);
