<?php

declare(strict_types=1);

use App\Days\Today;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Orthotaxis\Core\Adjacency\WhereUsed;

beforeEach(fn() => config(['orthotaxis.index.folder' => sys_get_temp_dir() . '/orthotaxis-index-' . bin2hex(random_bytes(4))]));

afterEach(fn() => File::deleteDirectory(config()->string('orthotaxis.index.folder')));

it('fills an empty database with as many lines as asked, without a loop, guarded as ever afterwards', function (): void {
    $this->artisan('data:generate', [
        '--items' => 400,
        '--lines' => 2500,
        '--levels' => 6,
        '--changes' => 30,
        '--seed' => 7,
    ])->assertSuccessful();
    expect(Item::query()->count())
        ->toBe(400)
        ->and(DB::table('structure_lines')->count())
        ->toBe(2500)
        ->and(DB::table('change_orders')->count())
        ->toBe(30);
    $common = (int) DB::table('structure_lines')->groupBy('component_id')->orderByRaw('count(*) DESC')->value('component_id');
    $index = StructureIndex::open();
    expect(count(WhereUsed::of($index->adjacency, $index->positions->of($common), Today::day()->number())->parents))->toBeGreaterThan(60);
    expect(fn() => DB::transaction(fn() => DB::statement('DELETE FROM structure_lines')))->toThrow(
        Illuminate\Database\QueryException::class,
        'never changes',
    );
});

it('never mixes generated with real data, and refuses sizes that make no sense', function (): void {
    $this->artisan('data:generate', ['--items' => 'many'])->assertFailed();
    $this->artisan('data:generate', ['--items' => 60, '--lines' => 100, '--levels' => 3, '--changes' => 0])->assertSuccessful();
    $this->artisan('data:generate', ['--items' => 60])->assertFailed();
});
