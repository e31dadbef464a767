<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A plant takes over what an order changes of an item under another order.
 *
 * @property int $id
 * @property int $order_id
 * @property int $item_id
 * @property string $plant
 * @property int $under_id the order under which it does
 * @property string $by_day
 * @property string $reason
 * @property-read ChangeOrder $order
 * @property-read ChangeOrder $under
 * @property-read Item $item
 */
final class FollowUp extends Model
{
    public $timestamps = false;

    /** @return BelongsTo<ChangeOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class);
    }

    /** @return BelongsTo<ChangeOrder, $this> */
    public function under(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}
