<?php

declare(strict_types=1);

namespace App\Outgoing\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Of which events another system is told.
 *
 * @property int $channel_id
 * @property list<string> $events
 * @property-read Channel $channel
 */
final class Webhook extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'channel_id';

    protected $casts = ['events' => 'array'];

    /** @return BelongsTo<Channel, $this> */
    public function channel(): BelongsTo
    {
        return $this->belongsTo(Channel::class);
    }
}
