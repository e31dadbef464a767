<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\World;

/* Who may do what to one order: by the people whom it names, not by roles alone; each act tried by each person. */

beforeEach(fn() => ($this->world = new World($this)));

/** jonas edits it, helen signs it, mira coordinates; edda and nils have the roles of an editor and of a signer, and are not named. */
const MAY = [
    'mira' => ['plan', 'submit', 'send_back', 'release', 'close'],
    'jonas' => ['revise', 'submit'],
    'helen' => ['send_back', 'sign'],
    'edda' => [],
    'nils' => [],
    'vera' => [],
    'tomas' => [],
];

/**
 * @return array<string, array{string, string, \Closure(World, string, string): TestResponse}> what it is part of, the state in which it
 * is time, the try
 */
function actsOnOrder(): array
{
    $put = fn(string $method, string $path, array $body = []): Closure => fn(
        World $world,
        string $by,
        string $order,
    ): TestResponse => $world->as($by, $method, str_replace('@', $order, $path), $body + ['version' => $world->version($order)]);
    $signed = fn(World $world, string $by, string $order): TestResponse => $world->as($by, 'POST', "/orders/{$order}/signature", [
        'password' => 'secret',
        'digest' => $world->as($by, 'GET', "/orders/{$order}/review")->json('order.digest'),
    ]);

    return [
        'plans its day' => ['plan', 'opened', $put('PATCH', '/orders/@', ['effective_on' => World::day(40)])],
        'puts an item on it' => [
            'plan',
            'opened',
            $put('PUT', '/orders/@/items/600-0014', ['outcome' => 'keep', 'disposition' => 'use_up']),
        ],
        'takes an item off' => ['plan', 'opened', $put('DELETE', '/orders/@/items/200-0040')],
        'withdraws it' => ['plan', 'opened', $put('POST', '/orders/@/withdrawal', ['reason' => 'Not needed.'])],
        'edits a line' => [
            'revise',
            'opened',
            fn(World $world, string $by, string $order): TestResponse => $world->edit($order, 'change', 20, ['quantity' => '4'], by: $by),
        ],
        'undoes an edit' => ['revise', 'edited', $put('POST', '/orders/@/items/200-0010/works/engineering/undo')],
        'keeps an iteration' => [
            'revise',
            'edited',
            $put('POST', '/orders/@/items/200-0010/works/engineering/iterations', ['note' => 'For a trial.']),
        ],
        'sends it to review' => ['submit', 'edited', $put('POST', '/orders/@/review')],
        'sends it back' => ['send_back', 'inReview', $put('POST', '/orders/@/return', ['reason' => 'Clamp too.'])],
        'sends it back when signed' => ['send_back', 'signed', $put('POST', '/orders/@/return', ['reason' => 'Clamp too.'])],
        'signs it' => ['sign', 'inReview', $signed],
        'releases it' => ['release', 'signed', $put('POST', '/orders/@/release')],
        'closes it' => ['close', 'taken', $put('POST', '/orders/@/closing')],
    ];
}

it('tells each person what they may do', function (): void {
    $order = $this->world->opened();
    foreach (MAY as $login => $acts) {
        expect(
            $this->world
                ->as($login, 'GET', "/dossiers/{$order}")
                ->assertOk()
                ->json('order.may'),
        )->toBe($acts, $login);
    }
});

it('lets each person do that and nothing else', function (string $act, string $state, Closure $try): void {
    World::planningTakes();
    $order = match ($state) {
        'edited', 'taken' => $this->world->{$state === 'edited' ? 'opened' : 'signed'}(),
        default => $this->world->{$state}(),
    };
    if ($state === 'edited') {
        $this->world->edit($order, 'replace', 10, ['component' => '200-0041'])->assertOk();
    }
    if ($state === 'taken') {
        $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    }
    $rows = fn(): array => [
        DB::table('change_orders')->get(),
        DB::table('change_order_items')->get(),
        DB::table('edits')->get(),
        DB::table('signatures')->get(),
        DB::table('ledger')->count(),
    ];
    $before = serialize($rows());
    foreach (MAY as $login => $acts) {
        DB::beginTransaction();
        $answer = $try($this->world, $login, $order);
        if (in_array($act, $acts, true)) {
            expect($answer->getStatusCode())->toBe(200, "{$login}: {$answer->getContent()}");
        } else {
            expect($answer->getStatusCode())
                ->toBeIn([403, 422], "{$login}: {$answer->getContent()}")
                ->and(serialize($rows()))
                ->toBe($before, $login);
        }
        DB::rollBack();
    }
})->with(actsOnOrder());
