<?php

declare(strict_types=1);

namespace App\Economics;

use App\CutIn\KnownSupply;
use App\CutIn\Places;
use App\CutIn\PlannedItem;
use App\Days\Today;
use App\Planning\ExposureReader;
use App\Planning\Freshness;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
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
     * @param  bool  $anew  whether to ask planning even if it told a moment ago
     * @return array{array<int, int>, Freshness} millionths by id; how far they can be trusted
     */
    public function of(Collection $products, bool $anew): array
    {
        $seconds = config()->integer('orthotaxis.planning.keep_seconds');
        $key = 'yearly-demand-' . hash('sha256', json_encode([(string) Today::day(), $products->modelKeys()], JSON_THROW_ON_ERROR));
        /** @var ?array{demand: array<int, int>, at: ?string} $kept */
        $kept = $seconds === 0 || $anew ? null : Cache::get($key);
        if ($kept !== null) {
            return [$kept['demand'], new Freshness($kept['at'] === null ? null : CarbonImmutable::parse($kept['at']))];
        }
        $items = $products->keyBy('id')->map(PlannedItem::of(...))->all();
        $known = KnownSupply::ask($this->reader, $items, Today::day(), Places::one());
        $demand = [];
        foreach (array_keys($items) as $id) {
            $supply = $known->supply($id);
            $demand[$id] = 0;
            foreach ($supply->wantedOn ?? [] as $i => $day) {
                $demand[$id] = $day < self::DAYS ? FixedPoint::add($demand[$id], $supply->wanted[$i] ?? 0) : $demand[$id];
            }
        }
        if ($seconds > 0 && $known->told->fault === null) {
            Cache::put($key, ['demand' => $demand, 'at' => $known->told->at?->toIso8601String()], $seconds);
        }

        return [$demand, $known->told];
    }
}
