<?php

declare(strict_types=1);

namespace App\Orders\DesignModel;

use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;

/** Which items the names of design models mean: their numbers, or what an earlier model called something that got a number then. */
final readonly class KnownNames
{
    /**
     * @param  list<string>  $names
     * @return array<array-key, string> numbers, by name
     */
    public static function of(array $names): array
    {
        $remembered = DB::table('modelled_names AS n')
            ->join('items AS i', 'i.id', '=', 'n.item_id')
            ->whereIn('n.name', $names)
            ->pluck('i.number', 'n.name')
            ->all();
        $numbers = Item::query()->whereIn('number', $names)->pluck('number', 'number')->all();

        return array_filter($numbers + $remembered, is_string(...));
    }

    public static function remember(string $name, string $number): void
    {
        DB::statement(
            'INSERT INTO modelled_names (name, item_id) SELECT ?, id FROM items WHERE number = ?
            ON CONFLICT (name) DO UPDATE SET item_id = excluded.item_id',
            [$name, $number],
        );
    }
}
