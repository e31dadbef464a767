<?php

declare(strict_types=1);

namespace App\Outgoing\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * One try to bring a message to another system.
 *
 * @property int $id
 * @property int $delivery_id
 * @property CarbonImmutable $at
 * @property int $took_ms
 * @property bool $arrived
 * @property string $said
 */
final class DeliveryAttempt extends Model
{
    public $timestamps = false;

    protected $casts = ['at' => 'immutable_datetime', 'arrived' => 'boolean'];
}
