<?php

declare(strict_types=1);

namespace App\Outgoing\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One message to another system, written in the transaction of what it tells of.
 *
 * @property int $id
 * @property int $channel_id
 * @property string $name by which the receiver knows it again: the number in the ledger, or the name of the file
 * @property string $what the event, or the hand-over
 * @property string $subject the number of the change
 * @property string $media_type
 * @property string $content
 * @property CarbonImmutable $written_at
 * @property CarbonImmutable $due_at when it is to be tried (again)
 * @property int $tries since somebody last asked
 * @property DeliveryState $state
 * @property ?CarbonImmutable $ended_at
 * @property string $said what the receiver said last, or what went wrong
 * @property-read Channel $channel
 * @property-read Collection<int, DeliveryAttempt> $attempts
 */
final class Delivery extends Model
{
    public $timestamps = false;

    protected $casts = [
        'state' => DeliveryState::class,
        'written_at' => 'immutable_datetime',
        'due_at' => 'immutable_datetime',
        'ended_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Channel, $this> */
    public function channel(): BelongsTo
    {
        return $this->belongsTo(Channel::class);
    }

    /** @return HasMany<DeliveryAttempt, $this> */
    public function attempts(): HasMany
    {
        return $this->hasMany(DeliveryAttempt::class)->orderBy('id');
    }

    /** @return Builder<self> what waits in a channel, in the order in which it happened */
    public static function waiting(int $channel): Builder
    {
        return self::query()->where('channel_id', $channel)->where('state', DeliveryState::Waiting)->orderBy('id');
    }
}
