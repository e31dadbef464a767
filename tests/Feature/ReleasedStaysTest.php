<?php

declare(strict_types=1);

use App\Ledger\Ledger;
use App\Structures\Models\Revision;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Support\World;

beforeEach(fn() => ($this->world = new World($this)));

/** Runs SQL as somebody at the database would, and gives its refusal. */
function refusedBySql(string $sql): string
{
    try {
        DB::transaction(fn() => DB::unprepared($sql));
    } catch (QueryException $e) {
        return $e->getMessage();
    }

    return 'It was done.';
}

it('refuses to change what is released, also in SQL', function (string $sql, string $reason): void {
    expect(refusedBySql($sql))->toContain($reason);
})->with([
    'a quantity' => ['UPDATE structure_lines SET quantity = quantity * 2', 'never changes'],
    'a line gone' => ['DELETE FROM structure_lines', 'never changes'],
    'a line more' => [
        "INSERT INTO structure_lines (content_id, line_key, find, component_id, quantity, unit) SELECT content_id, gen_random_uuid(), 99, component_id, 1, 'pc' FROM structure_lines LIMIT 1",
        'never changes',
    ],
    'all lines at once' => ['TRUNCATE structure_lines', 'stays as it is'],
    'a line moved away' => [
        "UPDATE structure_lines SET content_id = (SELECT id FROM revisions WHERE status = 'in_work' LIMIT 1)",
        'never changes',
    ],
    'something on record' => [
        "INSERT INTO line_records (content_id, line_key, reason) SELECT content_id, line_key, 'No.' FROM structure_lines LIMIT 1",
        'never changes',
    ],
    'a revision of another item' => ["UPDATE contents SET item_id = (SELECT min(id) FROM items) WHERE status = 'in_work'", 'never changes'],
    'a revision that becomes what a plant builds' => [
        "UPDATE contents SET kind = 'manufacturing', plant = 'Weir' WHERE status = 'in_work'",
        'never changes',
    ],
    'a revision opened again' => ["UPDATE revisions SET status = 'in_work' WHERE status = 'released'", 'never changes'],
    'a date' => ["UPDATE revisions SET effective_from = '2020-01-01' WHERE status = 'released'", 'never changes'],
    'an end' => ["UPDATE revisions SET effective_to = '2030-01-01' WHERE status = 'released'", 'never changes'],
    'a revision gone' => ["DELETE FROM revisions WHERE status = 'released'", 'stays for ever'],
    'a revision out of nothing' => [
        "INSERT INTO revisions (item_id, code, status, effective_from) SELECT item_id, 'Z', 'released', '2030-01-01' FROM revisions LIMIT 1",
        'begins in work',
    ],
    'straight from work' => [
        "UPDATE revisions SET status = 'released', effective_from = '2030-01-01' WHERE status = 'in_work'",
        'in review',
    ],
]);

it('releases a further revision by a signed order only', function (): void {
    $first = Revision::query()->where('item_id', $this->world->items['200-0010'])->firstOrFail();
    DB::table('revisions')->insert(['item_id' => $first->item_id, 'code' => 'B', 'status' => 'in_review']);
    expect(refusedBySql("UPDATE revisions SET status = 'released', effective_from = '2030-01-01' WHERE code = 'B'"))->toContain(
        'by a signed order only',
    );
});

it('never lets two revisions of an item hold on one day', function (): void {
    $item = $this->world->items['600-0014'];
    $order = $this->world->signed();
    $id = DB::table('change_orders')->where('number', $order)->value('id');
    DB::table('revisions')->insert(['item_id' => $item, 'code' => 'B', 'status' => 'in_review', 'order_id' => $id]);
    expect(
        refusedBySql("UPDATE revisions SET status = 'superseded', effective_to = '2030-01-02' WHERE item_id = {$item} AND code = 'A';
        UPDATE revisions SET status = 'released', effective_from = '2030-01-01' WHERE item_id = {$item} AND code = 'B'"),
    )->toContain('contents_one_on_a_day');
});

it('never lets a revision be released for no day at all', function (): void {
    expect(refusedBySql("UPDATE revisions SET status = 'obsolete', effective_to = effective_from WHERE status = 'released'"))->toContain(
        'contents_hold',
    );
});

it('lets a line stand once on a day', function (): void {
    $revision = DB::table('revisions')->where('status', 'in_work')->value('id');
    $line = fn(?string $from, ?string $to): string => sprintf(
        "INSERT INTO structure_lines (content_id, line_key, find, component_id, quantity, unit, valid_from, valid_to) VALUES (%d, '00000000-0000-7000-8000-000000000001', 10, %d, 1, 'pc', %s, %s)",
        $revision,
        $this->world->items['200-0042'],
        $from === null ? 'NULL' : "'{$from}'",
        $to === null ? 'NULL' : "'{$to}'",
    );
    expect(refusedBySql($line(null, '2027-03-01')))
        ->toBe('It was done.')
        ->and(refusedBySql($line('2027-03-01', null)))
        ->toBe('It was done.')
        ->and(refusedBySql($line('2027-02-28', '2027-03-02')))
        ->toContain('once on a day')
        ->and(refusedBySql($line(null, null)))
        ->toContain('once');
});

it('holds the edits of an order in review, also in SQL', function (): void {
    $this->world->inReview();
    expect(refusedBySql("UPDATE edits SET fields = '{}'"))
        ->toContain('held still')
        ->and(refusedBySql('DELETE FROM edits'))
        ->toContain('held still');
});

it('refuses to rewrite the ledger, and finds it when somebody did all the same', function (): void {
    $ledger = app(Ledger::class);
    foreach (['first', 'second', 'third'] as $act) {
        $ledger->record('mira', $act, 'ECO-00001');
    }
    expect(refusedBySql("UPDATE ledger SET actor = 'nobody'"))
        ->toContain('stays as it is')
        ->and(refusedBySql('DELETE FROM ledger'))
        ->toContain('stays as it is')
        ->and(refusedBySql('TRUNCATE ledger'))
        ->toContain('stays as it is');
    $this->artisan('ledger:verify')->expectsOutputToContain('3 records')->assertSuccessful();
    DB::unprepared(
        "ALTER TABLE ledger DISABLE TRIGGER ALL; UPDATE ledger SET actor = 'nobody' WHERE number = 2; ALTER TABLE ledger ENABLE TRIGGER ALL",
    );
    $this->artisan('ledger:verify')->expectsOutputToContain('Record 2')->assertFailed();
});
