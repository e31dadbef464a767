<?php

declare(strict_types=1);

namespace App\Console;

use App\Tables\CopyInto;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Quantity\Quantity;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A large product range: items numbered through from the products at the top to the parts at the bottom, each assembly
 * made of items further down only, so that there is no loop. A few parts are in almost everything.
 *
 * Released rows can only come about by release. Here they are written as such, in an empty database, by the owner of the
 * tables, with the guarding triggers off meanwhile.
 */
final class GeneratedData
{
    private const PRODUCTS = 0.002;

    private const ASSEMBLIES = 0.3;

    private readonly Randomizer $random;

    private readonly int $assemblies;

    private readonly string $start;

    private int $firstItem = 0;

    private int $firstRevision = 0;

    public function __construct(private readonly int $items, private readonly int $levels, int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->assemblies = (int) ceil($items * self::ASSEMBLIES);
        $this->start = CarbonImmutable::today()->subYears(2)->toDateString();
    }

    public function writeItems(): void
    {
        $category = DB::table('categories')->insertGetId(['code' => 'generated', 'name' => 'Generated', 'sequence' => 'letters']);
        $this->firstItem = (int) DB::selectOne("SELECT nextval(pg_get_serial_sequence('items', 'id')) AS id")->id;
        $this->firstRevision = (int) DB::selectOne("SELECT nextval(pg_get_serial_sequence('contents', 'id')) AS id")->id;
        $products = max(1, (int) ($this->items * self::PRODUCTS));

        DB::statement('ALTER TABLE contents DISABLE TRIGGER USER');
        $items = new CopyInto('items', [
            'id',
            'number',
            'title',
            'kind',
            'category_id',
            'unit',
            'supply',
            'sold',
            'standard_cost',
            'lead_time_days',
        ]);
        $revisions = new CopyInto('contents', ['id', 'item_id', 'code', 'status', 'effective_from', 'released_at', 'reason']);
        for ($i = 0; $i < $this->items; $i++) {
            $assembly = $i < $this->assemblies;
            $items->row([
                $this->firstItem + $i,
                sprintf('G-%07d', $i),
                $i < $products ? "Product {$i}" : ($assembly ? "Assembly {$i}" : "Part {$i}"),
                $assembly ? 'assembly' : 'part',
                $category,
                'pc',
                $assembly ? 'make' : 'buy',
                $i < $products ? 't' : 'f',
                $this->random->getInt(100, 2_000_000),
                $this->random->getInt(1, 90),
            ]);
            $revisions->row([
                $this->firstRevision + $i,
                $this->firstItem + $i,
                'A',
                'released',
                $this->start,
                $this->start,
                'First release',
            ]);
        }
        $items->flush();
        $revisions->flush();
        DB::statement('ALTER TABLE contents ENABLE TRIGGER USER');
        DB::statement("SELECT setval(pg_get_serial_sequence('items', 'id'), (SELECT max(id) FROM items))");
        DB::statement("SELECT setval(pg_get_serial_sequence('contents', 'id'), (SELECT max(id) FROM contents))");
    }

    /** @return int how many lines were written */
    public function writeLines(int $lines): int
    {
        $copy = new CopyInto('structure_lines', ['content_id', 'line_key', 'find', 'component_id', 'quantity', 'unit']);
        DB::statement('ALTER TABLE structure_lines DISABLE TRIGGER USER');
        $key = 0;
        for ($parent = 0; $parent < $this->assemblies; $parent++) {
            $own = intdiv($lines * ($parent + 1), $this->assemblies) - intdiv($lines * $parent, $this->assemblies);
            for ($n = 1; $n <= $own; $n++) {
                $component = $this->component($parent);
                // Of an assembly one goes into its parent, now and then two; of a part up to eight.
                $quantity = $component < $this->assemblies ? 1 + intdiv($this->random->getInt(0, 9), 9) : $this->random->getInt(1, 8);
                $copy->row([
                    $this->firstRevision + $parent,
                    sprintf('00000000-0000-7000-8000-%012x', ++$key),
                    $n * 10,
                    $this->firstItem + $component,
                    $quantity * Quantity::ONE,
                    'pc',
                ]);
            }
        }
        $copy->flush();
        DB::statement('ALTER TABLE structure_lines ENABLE TRIGGER USER');

        return $copy->count;
    }

    /** An item below: one in four an assembly of the next level, the rest parts, with a preference for the common ones. */
    private function component(int $parent): int
    {
        $level = intdiv($parent * ($this->levels - 1), $this->assemblies);
        $next = (int) ceil(($this->assemblies * ($level + 1)) / ($this->levels - 1));
        $after = min($this->assemblies, (int) ceil(($this->assemblies * ($level + 2)) / ($this->levels - 1)));
        if ($next < $after && $this->random->getInt(0, 3) === 0) {
            return $this->random->getInt($next, $after - 1);
        }
        $spread = $this->random->getInt(0, 1_000_000) / 1_000_000;

        return $this->assemblies + (int) (($this->items - $this->assemblies - 1) * $spread * $spread * $spread);
    }

    /** Two products PAIR-A and PAIR-B of one level of assemblies, no line identity shared, one line in fifty different. */
    public function writePair(int $lines): void
    {
        if ($lines === 0) {
            return;
        }
        $category = DB::table('categories')->value('id');
        $parts = DB::table('items')->where('kind', 'part')->orderBy('id')->limit(5_000)->pluck('id')->all();
        // What stands in for a part is used nowhere else in the pair.
        $others = array_splice($parts, intdiv(count($parts), 2));
        $assemblies = max(1, intdiv($lines, 100));
        DB::statement('ALTER TABLE contents DISABLE TRIGGER USER');
        DB::statement('ALTER TABLE structure_lines DISABLE TRIGGER USER');
        foreach (['A' => 0, 'B' => 50] as $side => $differs) {
            $random = new Randomizer(new Xoshiro256StarStar(5));
            $item = 1 + (int) DB::table('items')->max('id');
            $revision = 1 + (int) DB::table('contents')->max('id');
            $items = new CopyInto('items', [
                'id',
                'number',
                'title',
                'kind',
                'category_id',
                'unit',
                'supply',
                'sold',
                'standard_cost',
                'lead_time_days',
            ]);
            $revisions = new CopyInto('contents', ['id', 'item_id', 'code', 'status', 'effective_from', 'released_at', 'reason']);
            $copy = new CopyInto('structure_lines', [
                'content_id',
                'line_key',
                'find',
                'component_id',
                'quantity',
                'unit',
                'designators',
                'notes',
            ]);
            for ($n = 0; $n <= $assemblies; $n++) {
                $items->row([
                    $item + $n,
                    $n === 0 ? "PAIR-{$side}" : sprintf('PAIR-%s-%05d', $side, $n),
                    $n === 0 ? "Compared product {$side}" : "Compared assembly {$n}",
                    'assembly',
                    $category,
                    'pc',
                    'make',
                    $n === 0 ? 't' : 'f',
                    1_000_000,
                    10,
                ]);
                $revisions->row([$revision + $n, $item + $n, 'A', 'released', $this->start, $this->start, 'First release']);
            }
            $items->flush();
            $revisions->flush();
            $find = [];
            for ($n = 0; $n < $lines; $n++) {
                // The first lines of the product are its assemblies; all others are spread over these.
                $parent = $n < $assemblies ? 0 : 1 + ($n % $assemblies);
                $find[$parent] = ($find[$parent] ?? 0) + 10;
                $part = $random->getInt(0, count($parts) - 1);
                $quantity = $random->getInt(1, 8);
                $other = $differs !== 0 && $parent !== 0 && $n % $differs === 0;
                $component = $parent === 0 ? $item + 1 + $n : ($other && $n % 100 === 0 ? $others : $parts)[$part];
                $copy->row([
                    $revision + $parent,
                    sprintf('00000000-0000-7000-%s-%012x', $side === 'A' ? '9000' : 'a000', $n),
                    $find[$parent],
                    $component,
                    ($other && $n % 100 !== 0 ? $quantity + 1 : $quantity) * Quantity::ONE,
                    'pc',
                    '',
                    $n % 7 === 0 ? 'as drawn' : '',
                ]);
            }
            $copy->flush();
        }
        foreach (['contents', 'structure_lines'] as $table) {
            DB::statement("ALTER TABLE {$table} ENABLE TRIGGER USER");
        }
        foreach (['items', 'contents'] as $table) {
            DB::statement("SELECT setval(pg_get_serial_sequence('{$table}', 'id'), (SELECT max(id) FROM {$table}))");
        }
    }

    public function writeChanges(int $changes): void
    {
        $person =
            DB::table('people')->value('id') ??
            DB::table('people')->insertGetId([
                'login' => 'generator',
                'name' => 'Generator',
                'email' => 'generator@quillback.example',
                'password' => '!',
                'roles' => '["viewer"]',
                'active' => false,
            ]);
        DB::table('choices')->insertOrIgnore([
            ['list' => 'site', 'code' => 'north', 'name' => 'North'],
            ['list' => 'site', 'code' => 'south', 'name' => 'South'],
        ]);
        $firstRequest = 1 + (int) DB::table('change_requests')->max('id');
        $firstOrder = 1 + (int) DB::table('change_orders')->max('id');
        $today = CarbonImmutable::today();
        $requests = new CopyInto('change_requests', [
            'id',
            'number',
            'title',
            'reason',
            'source',
            'site',
            'priority',
            'description',
            'state',
            'raised_by',
            'raised_at',
        ]);
        $requestItems = new CopyInto('change_request_items', ['request_id', 'item_id']);
        $orders = new CopyInto('change_orders', ['id', 'number', 'title', 'priority', 'state', 'author_id', 'raised_at', 'closed_at']);
        $orderRequests = new CopyInto('change_order_requests', ['order_id', 'request_id']);
        $orderItems = new CopyInto('change_order_items', ['order_id', 'item_id', 'outcome', 'disposition']);
        for ($i = 0; $i < $changes; $i++) {
            $raised = $today->subDays($this->random->getInt(30, 700))->toDateString();
            $item = $this->firstItem + $this->random->getInt(0, $this->items - 1);
            $priority = ['critical', 'high', 'normal', 'normal', 'low'][$this->random->getInt(0, 4)];
            $requests->row([
                $firstRequest + $i,
                sprintf('GCR-%06d', $i),
                "Generated change {$i}",
                'improvement',
                'engineering',
                $i % 2 === 0 ? 'north' : 'south',
                $priority,
                'Generated.',
                'ordered',
                $person,
                $raised,
            ]);
            $requestItems->row([$firstRequest + $i, $item]);
            $orders->row([
                $firstOrder + $i,
                sprintf('GCO-%06d', $i),
                "Generated change {$i}",
                $priority,
                'closed',
                $person,
                $raised,
                $today->subDays(1)->toDateString(),
            ]);
            $orderRequests->row([$firstOrder + $i, $firstRequest + $i]);
            $orderItems->row([$firstOrder + $i, $item, 'keep', 'use_up']);
        }
        foreach ([$requests, $requestItems, $orders, $orderRequests, $orderItems] as $copy) {
            $copy->flush();
        }
        foreach (['change_requests', 'change_orders'] as $table) {
            DB::statement("SELECT setval(pg_get_serial_sequence('{$table}', 'id'), GREATEST(1, (SELECT max(id) FROM {$table})))");
        }
    }
}
