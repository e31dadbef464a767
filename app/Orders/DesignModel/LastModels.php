<?php

declare(strict_types=1);

namespace App\Orders\DesignModel;

use App\Orders\Models\ChangeOrder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\DesignModel\ModelledAssembly;

/** What the last design model of an assembly said, as far as it was taken over; forgotten when that is undone, or its order withdrawn. */
final readonly class LastModels
{
    /**
     * @param  list<string>  $numbers
     * @return array<array-key, ModelledAssembly> by number
     */
    public static function of(array $numbers): array
    {
        return DB::table('modelled_assemblies AS m')
            ->join('items AS i', 'i.id', '=', 'm.item_id')
            ->join('change_orders AS o', 'o.id', '=', 'm.order_id')
            ->whereIn('i.number', $numbers)
            ->where('o.state', '!=', OrderState::Withdrawn->value)
            ->whereRaw('(m.stroke IS NULL OR EXISTS (SELECT FROM edits e WHERE e.stroke = m.stroke AND e.withdrawn_at IS NULL))')
            ->pluck('m.pieces', 'i.number')
            ->map(static function (mixed $pieces): ModelledAssembly {
                /** @var array<array-key, int> $read */
                $read = json_decode(is_string($pieces) ? $pieces : '{}', true);

                return new ModelledAssembly($read);
            })
            ->all();
    }

    /** @param  array<array-key, array<array-key, int>>  $assemblies  pieces of each component, by numbers */
    public static function remember(ChangeOrder $order, ?string $stroke, array $assemblies): void
    {
        DB::statement(
            'INSERT INTO modelled_assemblies (item_id, pieces, order_id, stroke)
            SELECT i.id, a.value, ?, ?::uuid FROM jsonb_each(?::jsonb) a JOIN items i ON i.number = a.key
            ON CONFLICT (item_id) DO UPDATE SET pieces = excluded.pieces, order_id = excluded.order_id,
                stroke = excluded.stroke, brought_at = CURRENT_TIMESTAMP',
            [
                $order->id,
                $stroke,
                json_encode(array_map(static fn(array $pieces): object => (object) $pieces, $assemblies), JSON_THROW_ON_ERROR),
            ],
        );
    }
}
