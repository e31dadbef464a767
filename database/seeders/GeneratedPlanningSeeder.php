<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Http;
use Orthotaxis\Core\Quantity\Money;

/**
 * Tells the planning stand-in of the items of a generated data set, some thousands at a time; it makes up what there is of
 * them, products first. All it held before is gone.
 */
final class GeneratedPlanningSeeder extends Seeder
{
    private const AT_ONCE = 5_000;

    /**
     * @param  ?int  $most  rows; otherwise as many as the environment says in PLANNING_ROWS, or half a million
     * @return int how many rows there are now: fewer when there are too few items
     */
    public function run(?int $most = null): int
    {
        $most ??= (int) (getenv('PLANNING_ROWS') ?: 500_000);
        $rows = 0;
        $more = false;
        Item::query()->chunkById(self::AT_ONCE, static function (Collection $items) use ($most, &$rows, &$more): void {
            $answer = Http::withToken(config()->string('orthotaxis.planning.token'))
                ->timeout(120)
                ->post(config()->string('orthotaxis.planning.url') . '/load', [
                    'today' => CarbonImmutable::today()->toDateString(),
                    'more' => $more,
                    'most' => $most - $rows,
                    'items' => $items
                        ->values()
                        ->map(
                            static fn(Item $item): array => [
                                'number' => $item->number,
                                'revision' => 'A',
                                'unit' => $item->unit->value,
                                'cost' => (string) Money::ofTenThousandths((int) $item->standard_cost),
                                'supply' => $item->supply,
                                'sold' => $item->sold,
                                'kind' => $item->kind->value,
                            ],
                        )
                        ->all(),
                ])
                ->throw();
            $rows += $answer->json('rows');
            $more = true;
        });

        return $rows;
    }
}
