<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Structures\Models\Item;
use App\Structures\Models\StructureLine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** What Tarn and Weir build, with their routings: brought in once, as it stood after the closed changes, and changed under orders since. */
final class PlantStructureSeeder extends Seeder
{
    private const DAYS_AGO = 900;

    public function run(): void
    {
        $start = CarbonImmutable::today()->subDays(self::DAYS_AGO);
        $items = Item::query()->get()->keyBy('number');
        $revisions = DB::table('revisions')->where('status', 'released')->pluck('id', 'item_id');
        $first = DB::table('revisions')->groupBy('item_id')->selectRaw('item_id, min(id) AS id')->pluck('id', 'item_id');
        foreach (array_chunk((new DemoPlants($items, $revisions->union($first), $first))->lines(), 500) as $chunk) {
            StructureLine::query()->insert($chunk);
        }
        (new DemoRoutings())->write();
        $built = DB::table('contents')->where('kind', 'manufacturing');
        $built->clone()->update(['status' => 'in_review']);
        $built->update(['status' => 'released', 'effective_from' => $start->toDateString(), 'released_at' => $start->setTime(9, 0)]);
    }
}
