<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * An open order under which an item is being revised now: a view of the orders.
 *
 * @property int $item_id
 * @property int $order_id
 * @property string $number
 */
final class RevisingOrder extends Model
{
    protected $table = 'revising_orders';

    protected $primaryKey = 'order_id';

    public $incrementing = false;

    public $timestamps = false;
}
