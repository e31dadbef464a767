<?php

declare(strict_types=1);

namespace App\Structures\Export;

use App\Days\Today;
use App\Structures\Models\Item;
use App\Structures\ShownRevision;
use App\Tables\Table;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;

/** Items as a table that can be taken over elsewhere. */
final readonly class ItemTable
{
    /** Of a table of items, as it is given out and read in. */
    public const COLUMNS = [
        'number',
        'title',
        'kind',
        'category',
        'unit',
        'supply',
        'standard_cost',
        'lead_time_days',
        'supplier',
        'mass_kg',
        'material',
        'sold',
        'revision',
    ];

    /** @param  ?Builder<Item>  $found  those that are wanted; null: all */
    public static function of(?Builder $found = null): Table
    {
        return new Table('Items', [], self::COLUMNS, self::rows($found));
    }

    /**
     * @param  ?Builder<Item>  $found
     * @return \Generator<int, list<string|int|null>>
     */
    private static function rows(?Builder $found): \Generator
    {
        $items = DB::table('items')
            ->join('categories', 'categories.id', 'items.category_id')
            ->orderBy('items.id')
            ->select(['items.*', 'categories.code AS category'])
            ->selectRaw(ShownRevision::code(Today::day()) . ' AS revision');
        if ($found !== null) {
            $items->whereIn('items.id', $found->clone()->reorder()->select('items.id'));
        }
        foreach ($items->lazyById(2_000, 'items.id', 'id') as $item) {
            yield [
                $item->number,
                $item->title,
                $item->kind,
                $item->category,
                $item->unit,
                $item->supply,
                $item->standard_cost === null ? '' : (string) Money::ofTenThousandths($item->standard_cost),
                $item->lead_time_days,
                $item->supplier,
                $item->mass === null ? '' : FixedPoint::format($item->mass, 6),
                $item->material,
                $item->sold ? 'yes' : '',
                $item->revision ?? '',
            ];
        }
    }
}
