<?php

declare(strict_types=1);

use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Paths\OrderProgress;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderState;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->first = $this->world->opened();
    $this->world->edit($this->first, 'change', 30, ['quantity' => '8'])->assertOk();
    $this->second = $this->world->opened();
    $this->world->edit($this->second, 'replace', 20, ['component' => '200-0099'])->assertOk();
    $this->read = function (string ...$numbers): array {
        app()->forgetScopedInstances();
        $orders = ChangeOrder::query()->whereIn('number', $numbers)->orderBy('id')->get();
        $asked = 0;
        DB::listen(function () use (&$asked): void {
            $asked++;
        });
        $read = array_values(app(OrderReader::class)->many($orders));

        return [$read, $asked];
    };
});

it('reads several orders as it reads each of them, in the same number of questions', function (): void {
    [$both, $asked] = ($this->read)($this->first, $this->second);
    $lacks = fn(Order $order): array => collect($order->items)->firstWhere('number', '200-0010')->works[0]->missing;
    [$one, $askedForOne] = ($this->read)($this->second);
    expect(array_map(Digest::of(...), $both))
        ->toBe([Digest::of(($this->read)($this->first)[0][0]), Digest::of($one[0])])
        ->and($lacks($both[0]))
        ->toBe([])
        ->and($lacks($both[1]))
        ->toBe(['uses 200-0099, which has no revision in force on ' . Day::parse(World::day(30))->spelled() . '.'])
        ->and($asked)
        ->toBe($askedForOne);
});

it('lays several open orders over a structure in a number of questions that does not grow with them', function (): void {
    $asked = 0;
    DB::listen(function () use (&$asked): void {
        $asked++;
    });
    $tree = fn(int $day) => $this->world
        ->as('vera', 'GET', '/items/200-0010/structure?orders=open&on=' . World::day($day))
        ->assertOk()
        ->json('rows.*.line.component');
    expect($tree(31))->toContain('200-0099');
    $with = $asked;
    ChangeOrder::query()
        ->where('number', $this->first)
        ->update(['effective_on' => World::day(90)]);
    $asked = 0;
    $tree(31);
    expect($with)->toBe($asked);
});

it('knows of many orders who can act on them, as the path of each says it', function (): void {
    $world = $this->world;
    $orders = [$world->order() => [], $world->opened() => ['jonas'], $world->inReview() => ['helen'], $world->signed() => []];
    foreach ($orders as $number => $logins) {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        expect($order->actors->pluck('login')->all())
            ->toBe($logins, $number)
            ->and($order->state === OrderState::InReview ? OrderProgress::of($order, [])->acting() : [])
            ->toBe($order->state === OrderState::InReview ? $order->actors->pluck('id')->all() : []);
    }
    $waiting = fn(string $login): array => $world->as('vera', 'GET', "/changes?type=order&waits_for={$login}")->json('rows.*.number');
    $numbers = array_keys($orders);
    expect($waiting('helen'))
        ->toBe([$numbers[2]])
        ->and($waiting('jonas'))
        ->toContain($numbers[1])
        ->not->toContain($numbers[0])
        ->and($world->as('vera', 'GET', '/changes?type=order&person=helen&show=all')->json('rows.*.number'))
        ->toContain(...array_slice($numbers, 1));
});
