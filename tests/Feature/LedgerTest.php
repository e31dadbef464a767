<?php

declare(strict_types=1);

use App\Ledger\Anchors;
use App\Ledger\Ledger;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Ledger\Chain;
use Orthotaxis\Core\Ledger\Record;
use Tests\Feature\Support\World;

beforeEach(function (): void {
    $this->world = new World($this);
    $this->file = sys_get_temp_dir() . '/orthotaxis-anchors-' . bin2hex(random_bytes(4));
    config(['ledger.anchors' => $this->file]);
    // Whoever owns the database can do what it refuses to everybody else.
    $this->owner = function (callable $touch): void {
        DB::statement('ALTER TABLE ledger DISABLE TRIGGER USER');
        $touch();
        DB::statement('ALTER TABLE ledger ENABLE TRIGGER USER');
    };
});

afterEach(fn() => @unlink($this->file));

it('notes the ledger outside at each release and each day, once, and verifies against it', function (): void {
    World::planningTakes();
    $order = $this->world->signed();
    $this->artisan('ledger:verify')->expectsOutputToContain('none of them anchored')->assertSuccessful();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    $released = count(app(Anchors::class)->all());
    expect($released)->toBe(1);
    $this->artisan('ledger:anchor')->assertSuccessful();
    $this->artisan('ledger:anchor')->assertSuccessful();
    $count = DB::table('ledger')->count();
    expect(array_key_last(app(Anchors::class)->all()))->toBe($count);
    $this->artisan('ledger:verify')
        ->expectsOutputToContain("up to record {$count}")
        ->assertSuccessful();
});

it('finds a chain that its owner made anew, a tail that was cut with its count, a forged head, and tells all of it', function (
    string $how,
    string $told,
): void {
    $this->world->opened();
    $this->artisan('ledger:anchor')->assertSuccessful();
    $count = DB::table('ledger')->count();
    ($this->owner)(function () use ($how, $count): void {
        $read = fn(int $number): ?Record => ($row = DB::table('ledger')->where('number', $number)->first()) === null
            ? null
            : new Record((int) $row->number, $row->at, $row->actor, $row->act, $row->subject, $row->details, $row->before, $row->hash);
        if ($how === 'made anew') {
            for ($number = 2, $last = $read(1); $number <= $count; $number++, $last = $new) {
                $old = $read($number);
                $new = Chain::append($last, $old->at, 'nobody', $old->act, $old->subject, $old->details);
                DB::table('ledger')->where('number', $number)->update((array) $new);
            }
            DB::table('ledger_head')->update(['hash' => $new->hash]);
        } elseif ($how === 'cut') {
            DB::table('ledger')
                ->where('number', '>', $count - 2)
                ->delete();
            DB::table('ledger_head')->update(['count' => $count - 2, 'hash' => $read($count - 2)->hash]);
        } elseif ($how === 'forged at the end') {
            DB::table('ledger')->insert(
                (array) Chain::append($read($count), '2026-11-23T09:00:00.000000Z', 'mira', 'order.signed', 'ECO-00001', '{}'),
            );
            DB::table('ledger_head')->update(['count' => $count + 1]);
        } elseif ($how === 'not counted') {
            DB::table('ledger')->insert(
                (array) Chain::append($read($count), '2026-11-23T09:00:00.000000Z', 'mira', 'order.signed', 'ECO-00001', '{}'),
            );
        } else {
            DB::table('ledger')
                ->whereIn('number', [2, 4])
                ->update(['actor' => 'nobody']);
        }
    });
    $this->artisan('ledger:verify')->expectsOutputToContain($told)->assertFailed();
})->with([
    ['made anew', 'not the one that was anchored'],
    ['cut', 'removed: it was anchored'],
    ['forged at the end', 'the head has another hash'],
    ['not counted', 'inserted'],
    ['altered twice', 'Record 4'],
]);

it('is whole while people go on working', function (): void {
    $this->world->opened();
    $acts = 0;
    // Between the head and the records, and after each reading of records, somebody acts.
    DB::listen(function ($query) use (&$acts): void {
        if ($acts < 2 && preg_match('/^select .* from "ledger(_head)?" (where "number" between.*|limit \d+)$/', $query->sql) === 1) {
            $acts++;
            app(Ledger::class)->record('mira', 'order.planned', 'ECO-00001');
        }
    });
    $this->artisan('ledger:verify')->assertSuccessful();
    expect($acts)->toBe(2);
});

it('does not trust anchors that were touched', function (): void {
    $this->world->opened();
    $this->artisan('ledger:anchor')->assertSuccessful();
    file_put_contents(
        $this->file,
        str_replace((string) DB::table('ledger_head')->value('hash'), str_repeat('0', 64), (string) file_get_contents($this->file)),
    );
    $this->artisan('ledger:verify')->expectsOutputToContain('Line 1 of the anchors')->assertFailed();
});

it('releases also when the anchor cannot be written, and says so in the log', function (): void {
    World::planningTakes();
    file_put_contents($this->file, "nonsense\n");
    $order = $this->world->signed();
    $this->world->as('mira', 'POST', "/orders/{$order}/release", ['version' => $this->world->version($order)])->assertOk();
    expect($this->world->state($order))->toBe('released');
});

it('writes down at the end of an act what was done, so that the head of the ledger is held for a moment only', function (): void {
    $ledger = app(Ledger::class);
    $asked = [];
    DB::listen(function ($query) use (&$asked): void {
        $asked[] = strtok($query->sql, ' ') . (str_contains($query->sql, 'ledger_head') ? ' head' : '');
    });
    $before = DB::table('ledger')->count();
    $asked = [];
    $ledger->together(function () use ($ledger): void {
        $ledger->record('mira', 'order.planned', 'ECO-00001', ['n' => 1]);
        DB::select('SELECT 1');
        $ledger->together(fn() => $ledger->record('mira', 'order.opened', 'ECO-00001', ['n' => 2]));
        DB::select('SELECT 2');
    });
    expect(array_slice($asked, 0, 3))
        ->toBe(['SELECT', 'SELECT', 'select head'])
        ->and(count(array_keys($asked, 'select head', true)))
        ->toBe(1)
        ->and(DB::table('ledger')->where('number', '>', $before)->orderBy('number')->pluck('act')->all())
        ->toBe(['order.planned', 'order.opened']);
    $this->artisan('ledger:verify')->assertSuccessful();
});

it('leaves no record of what failed, be it caught or not', function (): void {
    $ledger = app(Ledger::class);
    $before = DB::table('ledger')->count();
    $fail = fn(string $act): mixed => $ledger->together(function () use ($ledger, $act): never {
        $ledger->record('mira', $act, 'ECO-00001');
        throw new RuntimeException('It does not fit.');
    });
    $ledger->together(function () use ($ledger, $fail): void {
        $ledger->record('mira', 'order.planned', 'ECO-00001');
        rescue(fn() => $fail('order.opened'), report: false);
        $ledger->record('mira', 'order.sent_to_review', 'ECO-00001');
    });
    expect(fn() => $fail('order.withdrawn'))->toThrow(RuntimeException::class);
    $ledger->record('mira', 'order.closed', 'ECO-00001');
    expect(DB::table('ledger')->where('number', '>', $before)->orderBy('number')->pluck('act')->all())->toBe([
        'order.planned',
        'order.sent_to_review',
        'order.closed',
    ]);
});
