<?php

declare(strict_types=1);

namespace App\Economics;

use App\CutIn\PlannedItem;
use App\CutIn\PlanningPicture;
use App\Planning\ExposureReader;
use App\Structures\Models\Item;
use App\Structures\Today;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Cache;
use Orthotaxis\Core\Quantity\FixedPoint;

/** What is wanted of products in the coming year: what is sold, and the forecast as far as it is not sold already. */
final readonly class YearlyDemand
{
    private const DAYS = 365;

    public function __construct(private ExposureReader $reader) {}

    /**
     * Kept for a few minutes, like all that is asked about many items.
     *
     * @param  Collection<int, Item>  $products
     * @return array{array<int, int>, ?string} millionths by id; why they are not fresh
     */
    public function of(Collection $products): array
    {
        $seconds = config()->integer('orthotaxis.planning.keep_seconds');
        $key = 'yearly-demand-'.hash('sha256', json_encode([(string) Today::day(), $products->modelKeys()], JSON_THROW_ON_ERROR));
        $kept = $seconds === 0 ? null : Cache::get($key);
        if (is_array($kept)) {
            /** @var array<int, int> $kept */
            return [$kept, null];
        }
        $items = $products->keyBy('id')->map(PlannedItem::of(...))->all();
        $picture = PlanningPicture::ask($this->reader, $items, Today::day());
        $demand = [];
        foreach (array_keys($items) as $id) {
            $supply = $picture->supply($id);
            $demand[$id] = 0;
            foreach ($supply->wantedOn ?? [] as $i => $day) {
                $demand[$id] = $day < self::DAYS ? FixedPoint::add($demand[$id], $supply->wanted[$i] ?? 0) : $demand[$id];
            }
        }
        if ($seconds > 0 && $picture->told->fault === null) {
            Cache::put($key, $demand, $seconds);
        }

        return [$demand, $picture->told->fault];
    }
}
