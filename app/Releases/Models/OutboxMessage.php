<?php

declare(strict_types=1);

namespace App\Releases\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something that is to leave the house, written in the transaction that decided it.
 *
 * @property int $id
 * @property int $handover_id
 * @property int $tries
 * @property CarbonImmutable $queued_at
 * @property CarbonImmutable $due_at
 * @property ?CarbonImmutable $delivered_at
 * @property string $last_error
 * @property-read Handover $handover
 */
final class OutboxMessage extends Model
{
    protected $table = 'outbox';

    public $timestamps = false;

    protected $casts = ['queued_at' => 'immutable_datetime', 'due_at' => 'immutable_datetime', 'delivered_at' => 'immutable_datetime'];

    /** @return BelongsTo<Handover, $this> */
    public function handover(): BelongsTo
    {
        return $this->belongsTo(Handover::class);
    }
}
