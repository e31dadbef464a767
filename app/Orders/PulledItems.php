<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\PulledItem;
use App\Orders\Models\ChangeOrder;
use App\Structures\Index\StructureIndex;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\RevisionStatus;

/** Items that go onto an order together, because of how they stand to one. */
final readonly class PulledItems
{
    public const WAYS = ['parents', 'above', 'components', 'below', 'documents', 'category', 'range'];

    /** More are not named at once. */
    private const MOST = 2_000;

    /**
     * @param  value-of<self::WAYS>  $way  direct parents or all above, direct components or all below, drawings and documents, all of its
     *     category, or all numbers that are made of something from it to another one
     * @param  string  $to  the last number of a range
     * @return list<PulledItem> by number
     *
     * @throws Refusal when there are too many
     */
    public function of(ChangeOrder $order, Item $item, string $way, Day $day, string $to = ''): array
    {
        $ids = match ($way) {
            'documents' => DB::table('item_documents')->where('item_id', $item->id)->pluck('document_id')->unique()->values()->all(),
            'parents', 'above' => self::above($item->id, $day, $way === 'parents'),
            'components', 'below' => self::below($item->id, $day, $way === 'components'),
            'category' => Item::query()
                ->where('category_id', $item->category_id)
                ->limit(self::MOST + 1)
                ->pluck('id')
                ->all(),
            'range' => self::between($item->number, $to),
        };
        $ids = array_values(array_filter($ids, is_int(...)));
        if (count($ids) > self::MOST) {
            throw Refusal::at(
                'way',
                sprintf('These are more than %s items, which is the most that are named at once.', number_format(self::MOST)),
            );
        }
        $named = $order->items()->whereIn('item_id', $ids)->pluck('id', 'item_id');
        $pulled = [];
        foreach (ItemRows::byId($ids) as $id => $row) {
            $pulled[$row->number] = new PulledItem($row, isset($named[$id]));
        }
        ksort($pulled);

        return array_values($pulled);
    }

    /** @return list<int> assemblies by their numbers, as text is ordered */
    private static function between(string $first, string $last): array
    {
        if ($last === '' || strcmp($last, $first) < 0) {
            throw Refusal::at('to', "Name the last number of the range: {$first}, or one after it.");
        }

        $ids = Item::query()
            ->whereRaw('number COLLATE "C" BETWEEN ? AND ?', [$first, $last])
            ->whereExists(
                static fn(Builder $lines): Builder => $lines
                    ->from('structure_lines AS l')
                    ->join('revisions AS r', 'r.id', '=', 'l.content_id')
                    ->whereColumn('r.item_id', 'items.id')
                    ->where('r.status', RevisionStatus::Released->value),
            )
            ->limit(self::MOST + 1)
            ->pluck('id')
            ->all();

        return array_values(array_filter($ids, is_int(...)));
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
