<?php

declare(strict_types=1);

namespace App\ChangeNotices;

use App\Days\Today;
use App\Documents\Models\ItemDocument;
use App\Orders\Models\ChangeOrder;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Release\Touched;

/** What an order touches, as distribution lists ask for it. */
final readonly class TouchedReader
{
    public function of(ChangeOrder $order, Order $core): Touched
    {
        $works = array_map(static fn(Work $work): string => $work->subject->plant, $core->works());
        $plants = array_filter(
            [...$works, ...$order->requests->pluck('site')->all(), ...$order->followUps->pluck('plant')->all()],
            static fn(mixed $plant): bool => is_string($plant) && $plant !== '',
        );

        return new Touched(array_values(array_unique($plants)), self::products($order), self::categories($order));
    }

    /**
     * What is sold and is, or has in it on the effective day, an item that changes or that a changing document describes; whatever changes
     * of it, and whether that costs anything or not.
     *
     * @return list<string>
     */
    private static function products(ChangeOrder $order): array
    {
        $changing = $order->items->where('outcome', '!=', Outcome::Keep)->pluck('item_id');
        $described = ItemDocument::query()->whereIn('document_id', $changing)->pluck('item_id');
        /** @var list<int> $ids */
        $ids = $changing->merge($described)->unique()->values()->all();
        $day = $order->effective_on === null ? Today::day() : Day::parse($order->effective_on);
        ['above' => $above] = StructureIndex::open()->amountsAbove(array_fill_keys($ids, 0), $day);

        return array_values(
            Item::query()
                ->where('sold', true)
                ->where(static function (Builder $either) use ($ids, $above): void {
                    $either->whereIntegerInRaw('id', $ids)->orWhereIntegerInRaw('id', array_keys($above));
                })
                ->orderBy('number')
                ->get()
                ->map(static fn(Item $one): string => $one->number)
                ->all(),
        );
    }

    /** @return list<string> */
    private static function categories(ChangeOrder $order): array
    {
        $all = Category::query()
            ->get(['id', 'parent_id', 'code'])
            ->keyBy('id');
        $codes = [];
        foreach ($order->items as $row) {
            $at = $all[$row->item->category_id] ?? null;
            while ($at !== null && !isset($codes[$at->code])) {
                $codes[$at->code] = true;
                $at = $all[$at->parent_id] ?? null;
            }
        }

        return array_map(strval(...), array_keys($codes));
    }
}
