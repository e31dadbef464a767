<?php

declare(strict_types=1);

use App\Ledger\Ledger;
use Illuminate\Support\Facades\Process;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->found = fn(string $query, string $as = 'mira'): array => $this->world
        ->as($as, 'GET', "/ledger?{$query}")
        ->assertOk()
        ->json('rows.*.act');
    $this->folder = sys_get_temp_dir() . '/orthotaxis-audit-' . bin2hex(random_bytes(4));
    mkdir($this->folder);
    /** What an auditor gets, as files. */
    $this->export = function (string $query = ''): void {
        file_put_contents(
            "{$this->folder}/ledger.txt",
            $this->world
                ->as('mira', 'GET', "/ledger/export?{$query}")
                ->assertOk()
                ->streamedContent(),
        );
        file_put_contents("{$this->folder}/key.pem", (string) $this->get('/house-key.pem')->assertOk()->getContent());
    };
    $this->check = fn(string ...$more) => Process::path($this->folder)->run([
        PHP_BINARY,
        resource_path('check-ledger.php'),
        'ledger.txt',
        'key.pem',
        ...$more,
    ]);
});

afterEach(fn() => Process::run(['rm', '-r', $this->folder]));

it('finds acts by what they are on and what they name, by who acted, what was done, when and words', function (): void {
    $order = $this->world->opened();
    $ledger = app(Ledger::class);
    $ledger->record('helen', 'order.planned', 'ECO-00999', ['items' => ['200-0010', '200-00100'], 'note' => 'Held 50% / "back"']);
    $ledger->record('nils', 'order_like.thing', 'ECO-01000', ['note' => 'over 200-0010 as well']);
    expect(($this->found)('about=200-0010'))
        ->toContain('order.planned', 'order.item_named')
        ->not->toContain('order_like.thing')
        ->and(($this->found)('about=200-0010&actor=helen'))
        ->toBe(['order.planned'])
        ->and(($this->found)("about={$order}"))
        ->toContain('order.opened')
        ->and(array_unique(($this->found)('act=order.opened')))
        ->toBe(['order.opened'])
        ->and(($this->found)('act=order.'))
        ->not->toContain('order_like.thing', 'request.raised')
        ->and(($this->found)('words=' . rawurlencode('HELD "back"')))
        ->toBe(['order.planned'])
        ->and(($this->found)('words=' . rawurlencode('50%')))
        ->toBe(['order.planned'])
        ->and(($this->found)('words=' . rawurlencode('5_%')))
        ->toBe([]);
});

it('reads days in the zone of the house, the last one whole', function (): void {
    config(['app.timezone' => 'America/New_York']);
    date_default_timezone_set('America/New_York');
    $at = function (string $moment, string $act): void {
        $this->travelTo($moment);
        app(Ledger::class)->record('mira', $act, 'ECO-00999');
    };
    $at('2026-03-02T04:59:59Z', 'order.first');
    $at('2026-03-02T05:00:00Z', 'order.second');
    $at('2026-03-03T04:59:59Z', 'order.third');
    $at('2026-03-03T05:00:00Z', 'order.fourth');
    $this->travelBack();
    expect(($this->found)('about=ECO-00999&since=2026-03-02&until=2026-03-02'))->toBe(['order.third', 'order.second']);
    date_default_timezone_set('UTC');
});

it('goes through all of it in pages that hold still while others act', function (): void {
    $ledger = app(Ledger::class);
    $ledger->together(function () use ($ledger): void {
        for ($i = 1; $i <= 450; $i++) {
            $ledger->record('mira', 'order.planned', 'ECO-00999', ['n' => $i]);
        }
    });
    $seen = [];
    $next = 0;
    while ($next !== null) {
        $page = $this->world
            ->as('mira', 'GET', "/ledger?about=ECO-00999&from={$next}")
            ->assertOk()
            ->json();
        expect($page['total'])->toBeGreaterThanOrEqual(450);
        array_push($seen, ...array_column(array_column($page['rows'], 'details'), 'n'));
        $next = $page['next'];
        $ledger->record('mira', 'order.opened', 'ECO-00999', ['n' => 0]);
    }
    expect($seen)->toBe(range(450, 1, -1));
});

it('is searched only by whoever may, and says what is wrong with a question', function (): void {
    foreach (['/ledger', '/ledger/export', '/ledger/checker'] as $address) {
        $this->world->as('tomas', 'GET', $address)->assertForbidden();
    }
    $this->world
        ->as('nils', 'GET', '/ledger?since=2026-03-03&until=2026-03-02&act=nothing&from=x')
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['until', 'act', 'from']);
});

it('goes out so that a stranger can check it with the script and with openssl', function (): void {
    $this->world->opened();
    ($this->export)();
    $whole = ($this->check)();
    expect($whole->exitCode())->toBe(0, $whole->errorOutput())->and($whole->output())->toContain('WHOLE: records 1 to ');
    $lines = file("{$this->folder}/ledger.txt", FILE_IGNORE_NEW_LINES);
    file_put_contents("{$this->folder}/head", $lines[0]);
    file_put_contents("{$this->folder}/signature", base64_decode(explode(' ', end($lines))[1]));
    $verify = Process::path($this->folder)->run(['openssl', 'dgst', '-sha256', '-verify', 'key.pem', '-signature', 'signature', 'head']);
    expect($verify->output())->toContain('Verified OK');
});

it('shows whatever is done to an export', function (Closure $touch, string $told): void {
    $this->world->opened();
    ($this->export)();
    $lines = file("{$this->folder}/ledger.txt", FILE_IGNORE_NEW_LINES);
    file_put_contents("{$this->folder}/ledger.txt", implode("\n", $touch($lines)) . "\n");
    $checked = ($this->check)();
    expect($checked->exitCode())->toBe(1)->and($checked->errorOutput())->toContain($told);
})->with([
    'a word altered' => [fn(array $l): array => array_replace($l, [2 => str_replace('mira', 'nils', $l[2])]), 'record 2 was altered'],
    'altered and hashed anew' => [
        function (array $l): array {
            $text = str_replace('mira', 'nils', substr($l[2], 65));

            return array_replace($l, [2 => hash('sha256', $text) . " {$text}"]);
        },
        'record 3 does not follow',
    ],
    'one removed' => [fn(array $l): array => [$l[0], $l[1], ...array_slice($l, 3)], 'record 2 is missing'],
    'its end cut off' => [fn(array $l): array => [...array_slice($l, 0, -2), end($l)], 'ends with another record'],
    'its head made anew' => [
        fn(array $l): array => [str_replace('"exported_at":"2', '"exported_at":"1', $l[0]), ...array_slice($l, 1)],
        'was not signed with this key',
    ],
    'its signature cut off' => [fn(array $l): array => array_slice($l, 0, -1), 'was not signed with this key'],
]);

it('goes out by days, follows on what was before, and agrees with what was noted outside', function (): void {
    config(['ledger.anchors' => "{$this->folder}/anchors.log"]);
    $this->world->opened();
    $this->artisan('ledger:anchor')->assertSuccessful();
    $this->travelTo('2031-03-04T12:00:00Z');
    $this->world->opened();
    $this->artisan('ledger:anchor')->assertSuccessful();
    $this->travelBack();
    ($this->export)('since=2031-01-01');
    $head = json_decode(file("{$this->folder}/ledger.txt")[0], true);
    expect($head['from'])->toBeGreaterThan(1)->and($head['before'])->not->toBe(str_repeat('0', 64));
    expect(($this->check)('anchors.log')->output())->toContain('1 of them agree');
    // Another ledger than the one that was noted.
    file_put_contents("{$this->folder}/anchors.log", "{$head['to']} 2031-03-04T12:00:00Z " . str_repeat('a', 64) . ' seal');
    expect(($this->check)('anchors.log')->errorOutput())->toContain('another one than was noted');
    ($this->export)('since=2040-01-01');
    expect(($this->check)()->output())->toContain('records 1 to 0');
});
