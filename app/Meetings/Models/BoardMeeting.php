<?php

declare(strict_types=1);

namespace App\Meetings\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * When and where the board meets.
 *
 * @property int $id
 * @property CarbonImmutable $starts_at
 * @property int $minutes
 * @property string $place
 * @property bool $called_off
 */
final class BoardMeeting extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['starts_at' => 'immutable_datetime', 'called_off' => 'boolean'];

    public function endsAt(): CarbonImmutable
    {
        return $this->starts_at->addMinutes($this->minutes);
    }

    /** @return Builder<self> that are not over, the next first */
    public static function ahead(): Builder
    {
        return self::query()
            ->where('called_off', false)
            ->whereRaw("starts_at + minutes * interval '1 minute' > ?", [CarbonImmutable::now()])
            ->orderBy('starts_at');
    }
}
