<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\PulledItem;
use App\Orders\Models\ChangeOrder;
use App\Structures\Index\StructureIndex;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** Items that go onto an order together, because of how they stand to one. */
final readonly class PulledItems
{
    public const WAYS = ['parents', 'above', 'components', 'below', 'documents'];

    /** More are not named at once. */
    private const MOST = 2_000;

    /**
     * @param  value-of<self::WAYS>  $way  direct parents or all above, direct components or all below, drawings and documents
     * @return list<PulledItem> by number
     *
     * @throws Refusal when there are too many
     */
    public function of(ChangeOrder $order, Item $item, string $way, Day $day): array
    {
        $ids = match ($way) {
            'documents' => DB::table('item_documents')->where('item_id', $item->id)->pluck('document_id')->unique()->values()->all(),
            'parents', 'above' => self::above($item->id, $day, $way === 'parents'),
            'components', 'below' => self::below($item->id, $day, $way === 'components'),
        };
        if (count($ids) > self::MOST) {
            throw Refusal::at('way', sprintf('These are %s items; at most %s are named at once.', count($ids), self::MOST));
        }
        $named = $order->items()->whereIn('item_id', $ids)->pluck('id', 'item_id');
        $pulled = [];
        foreach (ItemRows::byId($ids) as $id => $row) {
            $pulled[$row->number] = new PulledItem($row, isset($named[$id]));
        }
        ksort($pulled);

        return array_values($pulled);
    }

    /** @return list<int> */
    private static function above(int $item, Day $day, bool $direct): array
    {
        $index = StructureIndex::open();
        $used = $index->whereUsed($item, $day);

        return array_map(
            $index->positions->item(...),
            array_values(array_filter($used->parents, static fn(int $position): bool => !$direct || $used->level($position) === 1)),
        );
    }

    /** @return list<int> */
    private static function below(int $item, Day $day, bool $direct): array
    {
        $index = StructureIndex::open();
        $explosion = $index->explosion($item, $day);

        return array_map(
            $index->positions->item(...),
            array_values(
                array_filter(
                    array_keys($explosion->totals()),
                    static fn(int $position): bool => !$direct || $explosion->level($position) === 1,
                ),
            ),
        );
    }
}
