<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An item got a new number under an order: the new one succeeds the old.
 *
 * @property int $id
 * @property int $item_id
 * @property int $successor_id
 * @property bool $interchangeable either can be used where the other is called for
 * @property int $order_id
 * @property-read Item $item
 * @property-read Item $successor
 * @property-read NamedOrder $order
 */
final class Succession extends Model
{
    public $timestamps = false;

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function successor(): BelongsTo
    {
        return $this->belongsTo(Item::class, 'successor_id');
    }

    /** @return BelongsTo<NamedOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(NamedOrder::class, 'order_id');
    }
}
