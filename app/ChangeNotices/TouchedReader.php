<?php

declare(strict_types=1);

namespace App\ChangeNotices;

use App\Orders\ConsequenceReader;
use App\Orders\Data\ProductCost;
use App\Orders\Models\ChangeOrder;
use App\Structures\Models\Category;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Release\Touched;

/** What an order touches, as distribution lists ask for it. */
final readonly class TouchedReader
{
    public function __construct(private ConsequenceReader $consequences) {}

    public function of(ChangeOrder $order, Order $core): Touched
    {
        $works = array_map(static fn(Work $work): string => $work->subject->plant, $core->works());
        $plants = array_filter(
            [...$works, ...$order->requests->pluck('site')->all(), ...$order->followUps->pluck('plant')->all()],
            static fn(mixed $plant): bool => is_string($plant) && $plant !== '',
        );
        $products = array_map(static fn(ProductCost $one): string => $one->product, $this->consequences->read($order, $core)->products);

        return new Touched(array_values(array_unique($plants)), $products, self::categories($order));
    }

    /** @return list<string> */
    private static function categories(ChangeOrder $order): array
    {
        $all = Category::query()
            ->get(['id', 'parent_id', 'code'])
            ->keyBy('id');
        $codes = [];
        foreach ($order->items as $row) {
            for (
                $at = $all[$row->item->category_id] ?? null;
                $at !== null && !isset($codes[$at->code]);
                $at = $all[$at->parent_id] ?? null
            ) {
                $codes[$at->code] = true;
            }
        }

        return array_map(strval(...), array_keys($codes));
    }
}
