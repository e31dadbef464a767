<?php

declare(strict_types=1);

use App\Structures\Models\Item;
use App\Structures\StructureReader;
use App\Structures\Today;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Structure\WhereUsed;

it('fills an empty database with as many lines as asked, without a loop, guarded as ever afterwards', function (): void {
    $this->artisan('data:generate', ['--items' => 400, '--lines' => 2500, '--levels' => 6, '--changes' => 30, '--seed' => 7])->assertSuccessful();
    expect(Item::query()->count())->toBe(400)->and(DB::table('structure_lines')->count())->toBe(2500)->and(DB::table('change_orders')->count())->toBe(30);
    $common = (int) DB::table('structure_lines')->groupBy('component_id')->orderByRaw('count(*) DESC')->value('component_id');
    $parents = WhereUsed::of($common, app(StructureReader::class)->usagesAbove([$common], Today::day()))->parents;
    expect(count($parents))->toBeGreaterThan(60);
    expect(fn () => DB::transaction(fn () => DB::statement('DELETE FROM structure_lines')))->toThrow(Illuminate\Database\QueryException::class, 'never changes');
});

it('never mixes generated with real data, and refuses sizes that make no sense', function (): void {
    $this->artisan('data:generate', ['--items' => 'many'])->assertFailed();
    $this->artisan('data:generate', ['--items' => 60, '--lines' => 100, '--levels' => 3, '--changes' => 0])->assertSuccessful();
    $this->artisan('data:generate', ['--items' => 60])->assertFailed();
});
