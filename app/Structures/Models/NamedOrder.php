<?php

declare(strict_types=1);

namespace App\Structures\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * An order by its number, where no more of it counts: a view of the orders.
 *
 * @property int $id
 * @property string $number
 */
final class NamedOrder extends Model
{
    protected $table = 'order_numbers';

    public $timestamps = false;
}
