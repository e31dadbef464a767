<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\People\ShippedRole;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Category;
use App\Structures\Models\StructureLine;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/**
 * A small Quillback: a pump head (200-0010) with its parts, in a module (200-0001) that is sold, and the people who
 * change it. All that is done goes through the API, as the person named.
 */
final class World
{
    private static ?string $password = null;

    /** @var array<string, Person> */
    public array $people = [];

    /** @var array<string, int> item ids */
    public array $items = [];

    public function __construct(private readonly TestCase $test)
    {
        $roles = [
            'mira' => ShippedRole::Coordinator,
            'jonas' => ShippedRole::DesignEngineer,
            'edda' => ShippedRole::ElectronicsEngineer,
            'helen' => ShippedRole::BoardMember,
            'nils' => ShippedRole::Quality,
            'vera' => ShippedRole::Viewer,
            'tomas' => ShippedRole::Planner,
        ];
        // The same password has been scrambled once for all tests.
        self::$password ??= Hash::make('secret');
        DB::table('people')->insert(
            array_map(
                static fn(string $login): array => [
                    'login' => $login,
                    'name' => ucfirst($login),
                    'email' => "{$login}@quillback.example",
                    'password' => self::$password,
                    'roles' => json_encode([$roles[$login]->value]),
                ],
                array_keys($roles),
            ),
        );
        $this->people = Person::query()->get()->keyBy('login')->all();
        DB::table('choices')->insert([
            ['list' => 'site', 'code' => 'Tarn', 'name' => 'Tarn'],
            ['list' => 'site', 'code' => 'Weir', 'name' => 'Weir'],
        ]);
        DB::table('number_ranges')->insert([
            ['name' => 'request', 'prefix' => 'ECR-', 'width' => 5, 'next' => 1],
            ['name' => 'order', 'prefix' => 'ECO-', 'width' => 5, 'next' => 1],
        ]);
        $category = Category::query()->create(['code' => 'pump', 'name' => 'Pump', 'sequence' => 'letters'])->id;
        $items = [
            ['200-0001', 'Pump module', 'assembly', 'pc', true, 4_860_000],
            ['200-0010', 'Pump head', 'assembly', 'pc', false, 2_620_000],
            ['200-0040', 'Pump tube, 1.6', 'part', 'm', false, 98_000],
            ['200-0041', 'Pump tube, 2.4', 'part', 'm', false, 126_000],
            ['200-0042', 'Tube clamp', 'part', 'pc', false, 6_800],
            ['600-0014', 'Screw', 'part', 'pc', false, 500],
            ['710-0001', 'Grease', 'consumable', 'g', false, 900],
            ['200-0099', 'Not released', 'part', 'pc', false, null],
        ];
        DB::table('items')->insert(
            array_map(
                static fn(array $item): array => array_combine(['number', 'title', 'kind', 'unit', 'sold', 'standard_cost'], $item) + [
                    'category_id' => $category,
                    'supply' => 'make',
                ],
                $items,
            ),
        );
        $this->items = DB::table('items')->orderBy('id')->pluck('id', 'number')->all();
        $this->release([
            '200-0001' => [[10, '200-0010', 1, 'pc']],
            '200-0010' => [[10, '200-0040', 0.5, 'm'], [20, '200-0042', 2, 'pc'], [30, '600-0014', 6, 'pc']],
        ]);
    }

    /**
     * All but one that is in work.
     *
     * @param  array<string, list<array{int, string, float|int, string}>>  $structures  lines by parent
     */
    private function release(array $structures): void
    {
        $start = CarbonImmutable::today()->subYear();
        DB::table('revisions')->insert(
            array_map(
                static fn(int $item): array => ['item_id' => $item, 'code' => 'A', 'status' => 'in_work', 'reason' => 'First release'],
                array_values($this->items),
            ),
        );
        $revisions = DB::table('revisions')->pluck('id', 'item_id')->all();
        $lines = [];
        foreach ($structures as $parent => $some) {
            foreach ($some as [$find, $component, $quantity, $unit]) {
                $lines[] = [
                    'content_id' => $revisions[$this->items[$parent]],
                    'line_key' => (string) Str::uuid7(),
                    'find' => $find,
                    'component_id' => $this->items[$component],
                    'quantity' => (int) ($quantity * 1_000_000),
                    'unit' => $unit,
                ];
            }
        }
        StructureLine::query()->insert($lines);
        $released = DB::table('revisions')->where('item_id', '!=', $this->items['200-0099']);
        $released->clone()->update(['status' => 'in_review']);
        $released->update(['status' => 'released', 'effective_from' => $start->toDateString(), 'released_at' => $start]);
    }

    /**
     * Further assemblies that use a component, released: 300-0001 and on.
     *
     * @return list<string> their numbers
     */
    public function parents(int $many, string $component, int|float $quantity, string $unit): array
    {
        $numbers = array_map(static fn(int $at): string => sprintf('300-%04d', $at), range(1, $many));
        $category = DB::table('categories')->value('id');
        DB::table('items')->insert(
            array_map(
                static fn(string $number): array => [
                    'number' => $number,
                    'title' => "Assembly {$number}",
                    'kind' => 'assembly',
                    'unit' => 'pc',
                    'sold' => false,
                    'category_id' => $category,
                    'supply' => 'make',
                ],
                $numbers,
            ),
        );
        $this->items = DB::table('items')->orderBy('id')->pluck('id', 'number')->all();
        $new = array_map(fn(string $number): int => $this->items[$number], $numbers);
        DB::table('revisions')->insert(
            array_map(
                static fn(int $item): array => ['item_id' => $item, 'code' => 'A', 'status' => 'in_work', 'reason' => 'First release'],
                $new,
            ),
        );
        $revisions = DB::table('revisions')->whereIn('item_id', $new);
        StructureLine::query()->insert(
            $revisions
                ->clone()
                ->pluck('id')
                ->map(
                    fn(int $content): array => [
                        'content_id' => $content,
                        'line_key' => (string) Str::uuid7(),
                        'find' => 10,
                        'component_id' => $this->items[$component],
                        'quantity' => (int) ($quantity * 1_000_000),
                        'unit' => $unit,
                    ],
                )
                ->all(),
        );
        $revisions->clone()->update(['status' => 'in_review']);
        $revisions->update(['status' => 'released', 'effective_from' => self::day(-365), 'released_at' => self::day(-365)]);

        return $numbers;
    }

    /**
     * What a plant builds of an item, released on the day of its revision. Lines say operation, their identity, and that of the
     * engineering line they stand for.
     *
     * @param  list<array{0: int, 1: string, 2: float|int, 3: string, 4?: int, 5?: ?string, 6?: string}>  $lines
     * @param  ?\Closure(int): void  $besides  done to the content while it is in work
     */
    public function built(string $number, string $plant, array $lines, ?\Closure $besides = null): void
    {
        $revision = DB::table('revisions')->where('item_id', $this->items[$number])->orderBy('id')->first();
        $subject = ['item_id' => $this->items[$number], 'kind' => 'manufacturing', 'plant' => $plant];
        $content = DB::table('contents')->insertGetId($subject + ['builds_id' => $revision->id, 'code' => 'A', 'status' => 'in_work']);
        foreach ($lines as $line) {
            StructureLine::query()->insert([
                'content_id' => $content,
                'line_key' => $line[5] ?? (string) Str::uuid7(),
                'find' => $line[0],
                'component_id' => $this->items[$line[1]],
                'quantity' => (int) ($line[2] * 1_000_000),
                'unit' => $line[3],
                'operation' => $line[4] ?? null,
                'takes_over' => $line[6] ?? null,
            ]);
        }
        $besides === null || $besides($content);
        $built = DB::table('contents')->where('id', $content);
        $built->update(['status' => 'in_review']);
        $built->update([
            'status' => 'released',
            'effective_from' => $revision->effective_from ?? self::day(-365),
            'released_at' => $revision->released_at,
        ]);
    }

    /**
     * Takes over what a design model says of an item.
     *
     * @param  list<array{int, string, int, string}>  $lines  find, component, quantity and unit
     * @return string the state of the import
     */
    public function design(string $number, array $lines): string
    {
        $file = "parent,find,component,quantity,unit\n";
        foreach ($lines as $line) {
            $file .= "{$number}," . implode(',', $line) . "\n";
        }
        $this->test
            ->actingAs($this->people['mira'])
            ->post(
                '/api/imports',
                ['subject' => 'design', 'file' => UploadedFile::fake()->createWithContent('model.csv', $file)],
                ['Accept' => 'application/json'],
            )
            ->assertOk();

        return (string) DB::table('imports')->orderByDesc('asked_at')->orderByDesc('id')->value('state');
    }

    /**
     * Somebody asks, or does something and looks at the page of it.
     *
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    public function as(string $login, string $method, string $path, array $body = []): TestResponse
    {
        $answer = $this->only($login, $method, $path, $body);

        return $method === 'GET' ? $answer : $this->seen($answer, $path);
    }

    /**
     * The same, and does not look.
     *
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    public function only(string $login, string $method, string $path, array $body = []): TestResponse
    {
        return $this->test->actingAs($this->people[$login])->json($method, "/api{$path}", $body);
    }

    /**
     * All lines of an order, in however many parts they come.
     *
     * @return array<string, mixed>
     */
    public function worksheet(string $login, string $order): array
    {
        $all = null;
        for ($from = 0; $from !== null; $from = $part['next']) {
            $part = $this->only($login, 'GET', "/orders/{$order}/worksheet?from={$from}")
                ->assertOk()
                ->json();
            foreach ($part['rows'] as &$row) {
                $row['subject'] += count($all['subjects'] ?? []);
            }
            unset($row);
            $all = [
                ...$part,
                'subjects' => [...$all['subjects'] ?? [], ...$part['subjects']],
                'rows' => [...$all['rows'] ?? [], ...$part['rows']],
                'items' => [...$all['items'] ?? [], ...$part['items']],
            ];
        }

        return $all;
    }

    /**
     * Somebody sets a category as it is now, and looks at all of them.
     *
     * @param  array<string, mixed>  $rule
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    public function setCategory(string $login, string $code, array $rule): TestResponse
    {
        $version = (int) DB::table('categories')->where('code', $code)->value('version');

        return $this->as($login, 'PATCH', "/categories/{$code}", $rule + ['version' => $version]);
    }

    /**
     * Somebody sends a form with files, and looks at the page of it.
     *
     * @param  array<string, mixed>  $fields
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    public function sends(string $login, string $path, array $fields): TestResponse
    {
        return $this->seen(
            $this->test->actingAs($this->people[$login])->post("/api{$path}", $fields, ['Accept' => 'application/json']),
            $path,
        );
    }

    /**
     * The page of what was done, as whoever is signed in sees it; the answer itself where nothing was done.
     *
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    public function seen(TestResponse $answer, string $path): TestResponse
    {
        $done = $answer->getStatusCode() === 200 ? $answer->json() : [];
        $page =
            $answer->getStatusCode() === 204 || (is_array($done) && array_keys($done) === ['number', 'version'])
                ? PageAfter::of($path, is_array($done) ? $done : [])
                : null;

        return $page === null ? $answer : $this->test->json('GET', "/api{$page}");
    }

    /** @return array<string, mixed> */
    public function request(array $other = []): array
    {
        return $other + [
            'title' => 'Pump tube wears out',
            'reason' => 'defect',
            'source' => 'field',
            'site' => 'Weir',
            'priority' => 'critical',
            'description' => 'Tears after 200 hours.',
            'items' => ['200-0010', '200-0040'],
        ];
    }

    /**
     * Raises, assesses and approves a request, and turns it into an order; its number.
     *
     * @param  ?\Closure(string): mixed  $chosen  what is done meanwhile with the request
     */
    public function order(?\Closure $chosen = null): string
    {
        $number = $this->only('jonas', 'POST', '/requests', $this->request())->assertOk()->json('number');
        $this->only('mira', 'POST', "/requests/{$number}/finding", ['finding' => 'Feasible.', 'version' => 1])->assertOk();
        $this->only('mira', 'POST', "/requests/{$number}/decision", [
            'decision' => 'approved',
            'reason' => 'Needed.',
            'version' => 2,
        ])->assertOk();

        $chosen === null || $chosen($number);

        return $this->only('mira', 'POST', "/requests/{$number}/order")
            ->assertOk()
            ->json('number');
    }

    /**
     * An order that is planned and open for revision by jonas, to be signed by helen.
     *
     * @param  ?\Closure(string): mixed  $chosen  what is done with its request before the order is raised
     */
    public function opened(?\Closure $chosen = null): string
    {
        $order = $this->order($chosen);
        $this->only('mira', 'PATCH', "/orders/{$order}", [
            'editor' => 'jonas',
            'signer' => 'helen',
            'effective_on' => self::day(30),
            'version' => 1,
        ])->assertOk();
        $this->only('mira', 'PUT', "/orders/{$order}/items/200-0010", [
            'outcome' => 'revise',
            'disposition' => 'use_up',
            'version' => 2,
        ])->assertOk();
        $this->only('mira', 'PUT', "/orders/{$order}/items/200-0040", [
            'outcome' => 'keep',
            'disposition' => 'use_up',
            'version' => 3,
        ])->assertOk();
        $this->only('mira', 'POST', "/orders/{$order}/opening", ['version' => 4])->assertOk();

        return $order;
    }

    /**
     * @param  array<string, string>  $fields
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    public function edit(
        string $order,
        string $operation,
        int $find,
        array $fields = [],
        string $by = 'jonas',
        ?int $seen = null,
    ): TestResponse {
        $now = $this->as($by, 'GET', "/orders/{$order}/items/200-0010/redline")->json();
        $line =
            collect($now['rows'])->first(fn(array $row): bool => ($row['before']['find'] ?? $row['after']['find']) === $find)['key'] ?? '';

        return $this->as($by, 'POST', "/orders/{$order}/items/200-0010/edits", [
            'operation' => $operation,
            'line' => $operation === 'add' ? '' : $line,
            'fields' => (object) $fields,
            'seen' => $seen ?? $now['seen'],
        ]);
    }

    /** An order that is edited, in review, and signed by helen. */
    /** @param  array<string, string>  $fields */
    public function signed(string $operation = 'replace', int $find = 10, array $fields = ['component' => '200-0041']): string
    {
        $order = $this->inReview($operation, $find, $fields);
        $digest = $this->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
        $this->only('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();

        return $order;
    }

    /** @param  array<string, string>  $fields */
    public function inReview(string $operation = 'replace', int $find = 10, array $fields = ['component' => '200-0041']): string
    {
        $order = $this->opened();
        $this->edit($order, $operation, $find, $fields)->assertOk();
        $this->leave($order);
        $this->only('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->version($order)])->assertOk();

        return $order;
    }

    /** Lets what an order changes of 200-0010 follow at a plant under another order, whose number it gives. */
    public function follows(string $order, string $plant): string
    {
        $other = $this->order();
        $this->only('mira', 'PUT', "/orders/{$order}/items/200-0010/plants/{$plant}/follow-up", [
            'order' => $other,
            'by' => self::day(60),
            'reason' => 'The old tubes are used up first.',
            'version' => $this->version($order),
        ])->assertOk();

        return $other;
    }

    /** Sends an order that is edited to review, signs and releases it. */
    public function released(string $order): void
    {
        $this->leave($order);
        $this->only('jonas', 'POST', "/orders/{$order}/review", ['version' => $this->version($order)])->assertOk();
        $digest = $this->as('helen', 'GET', "/orders/{$order}/review")->json('order.digest');
        $this->only('helen', 'POST', "/orders/{$order}/signature", ['password' => 'secret', 'digest' => $digest])->assertOk();
        $this->only('mira', 'POST', "/orders/{$order}/release", ['version' => $this->version($order)])->assertOk();
    }

    /** Leaves what belongs to the items of an order, and nobody has decided on, as it is. */
    public function leave(string $order): void
    {
        $rows = array_filter(
            $this->only('mira', 'GET', "/orders/{$order}/belongings")
                ->assertOk()
                ->json(),
            static fn(array $row): bool => $row['state'] === 'open',
        );
        $named = static fn(array $row): array => ['number' => $row['other']['number']] +
            array_intersect_key($row, ['item' => 1, 'kind' => 1, 'fault' => 1]);
        if ($rows !== []) {
            $this->only('mira', 'POST', "/orders/{$order}/belongings", [
                'rows' => array_values(array_map($named, $rows)),
                'becomes' => 'left',
                'reason' => 'It holds as it is.',
                'version' => $this->version($order),
            ])->assertOk();
        }
    }

    public function version(string $order): int
    {
        return (int) ChangeOrder::query()->where('number', $order)->value('version');
    }

    public function state(string $number): string
    {
        return (
            ChangeOrder::query()->where('number', $number)->first() ?? ChangeRequest::query()->where('number', $number)->firstOrFail()
        )->state->value;
    }

    /** Planning takes everything, except what is named. */
    public static function planningTakes(string ...$refused): void
    {
        Http::fake([
            '*/items/unknown' => Http::response(['unknown' => []]),
            '*/hand-overs' => static function ($request) use ($refused) {
                $xml = simplexml_load_string($request->body());
                $entries = [];
                foreach ($xml->entry as $entry) {
                    $no = in_array((string) $entry['component'], $refused, true);
                    $entries[] = [
                        'entry' => (int) $entry['number'],
                        'answer' => $no ? 'refused' : 'taken',
                        'reason' => $no ? 'Not known.' : '',
                    ];
                }

                return Http::response(['entries' => $entries]);
            },
        ]);
    }

    public static function day(int $days): string
    {
        return CarbonImmutable::today()->addDays($days)->toDateString();
    }
}
