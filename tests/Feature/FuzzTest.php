<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Feature\Support\World;
use Tests\Torture\Api;

/*
 * Every address of the API, by its own description, with what nobody should send: it is refused or answered, and never breaks.
 */

beforeEach(fn() => ($this->world = new World($this)));

const ODD = [
    '',
    '0',
    '-1',
    'x',
    '../..',
    '99999999999',
    '99999999999999999999',
    '1e400',
    '0.0000001',
    '2026-02-30',
    '9999-12-31',
    "'; DROP TABLE items; --",
    '%',
    '_',
    '200-0010',
    'ECR-00001',
    'ECO-00001',
    '[]',
    'null',
    '０',
    'ÿ',
];

it('breaks at nothing that nobody should send', function (string $login): void {
    Http::fake(['*' => Http::response(['rows' => [], 'entries' => []])]);
    $order = $this->world->opened();
    $request = (string) DB::table('change_requests')->value('number');
    $known = [
        'number' => ['200-0010', $order, $request, 'F-1', 'nothing', '0'],
        'item' => ['200-0010', '200-0041', 'nothing'],
        'id' => ['1', '0', '99999999999999999999', '2147483648', '018f0000-0000-7000-8000-000000000000', 'x'],
    ];
    $values = [
        null,
        true,
        7,
        -1,
        1.5,
        1e308,
        PHP_INT_MAX,
        '',
        ' ',
        'x',
        str_repeat('x', 20_001),
        '2026-13-01',
        [],
        [[]],
        [null],
        ['x'],
        [['x' => 1]],
        ['x' => ['y' => []]],
        (object) [],
    ];
    $this->actingAs($this->world->people[$login]);
    $broken = [];
    $tried = 0;
    $random = new Random\Randomizer(new Random\Engine\Mt19937(20_261_127));
    $pick = static fn(array $among): mixed => $among[$random->getInt(0, count($among) - 1)];
    $ask = function (string $method, string $address, mixed $body) use (&$broken, &$tried): void {
        DB::beginTransaction();
        $answer = $this->json($method, $address, is_array($body) ? $body : []);
        DB::rollBack();
        $tried++;
        // A sentence that names a field stands beside that field, or nobody wrote it for a person.
        if (preg_match('/"The [\w. ]+ field |validation\./', (string) $answer->getContent()) === 1) {
            $broken[] = "{$method} {$address}: " . mb_substr((string) $answer->getContent(), 0, 300);
        }
        if ($answer->getStatusCode() >= 500) {
            $broken[] =
                "{$method} {$address} " .
                mb_substr((string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR), 0, 160) .
                ': ' .
                ($answer->exception?->getMessage() ?? '');
        }
    };
    foreach (Api::operations() as [$method, $path, $query, $fields]) {
        if ($path === '/api/session' && $method !== 'GET') {
            continue;
        }
        $address = fn(): string => (string) preg_replace_callback(
            '/\{(\w+)\}/',
            static fn(array $name): string => rawurlencode($pick($random->getInt(0, 1) === 0 ? ODD : $known[$name[1]] ?? ODD)),
            $path,
        );
        for ($i = 0; $i < 4; $i++) {
            $ask($method, $address(), []);
        }
        foreach ($query as $name) {
            for ($i = 0; $i < 3; $i++) {
                $ask($method, $address() . '?' . http_build_query([$name => $pick(ODD)]), []);
            }
        }
        foreach (array_keys($fields) as $name) {
            for ($i = 0; $i < 3; $i++) {
                $others = array_map(
                    static fn() => $pick(['1', 'x', '200-0010', 1, ['200-0010'], 'high', 'revise', '2027-01-01', $order]),
                    $fields,
                );
                $ask($method, $address(), [$name => $pick($values)] + $others);
            }
        }
    }
    expect(array_slice($broken, 0, 25))->toBe([])->and($tried)->toBeGreaterThan(900);
    $this->artisan('ledger:verify')->assertSuccessful();
})->with(['mira', 'jonas']);
