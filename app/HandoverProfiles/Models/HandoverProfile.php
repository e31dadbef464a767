<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Models;

use App\Outgoing\Models\Channel;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Handover\Format;
use Orthotaxis\Core\Handover\Profile;

/**
 * What another system gets of hand-overs.
 *
 * @property int $channel_id
 * @property list<string> $moments by the values of Moment
 * @property list<string> $structures
 * @property list<string> $plants none: of all
 * @property list<string> $fields none: all
 * @property Format $format
 * @property string $file_name
 * @property int $last_number the running number of its last file
 * @property-read Channel $channel
 */
final class HandoverProfile extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'channel_id';

    protected $casts = [
        'moments' => 'array',
        'structures' => 'array',
        'plants' => 'array',
        'fields' => 'array',
        'format' => Format::class,
    ];

    /** @return BelongsTo<Channel, $this> */
    public function channel(): BelongsTo
    {
        return $this->belongsTo(Channel::class);
    }

    public function core(): Profile
    {
        return Profile::of($this->structures, $this->plants, $this->fields, $this->format, $this->file_name);
    }

    /** @return Builder<self> those that get something at a moment */
    public static function at(Moment $moment): Builder
    {
        $some = self::query()->whereHas('channel', static fn(Builder $channel): Builder => $channel->where('retired', false));
        $some->whereJsonContains('moments', $moment->value)->orderBy('channel_id');

        return $some;
    }
}
