<?php

declare(strict_types=1);

namespace App\Manufacturing\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Orthotaxis\Core\Calendar\Shift;
use Orthotaxis\Core\Calendar\WorkCalendar;

/**
 * A site as a plant: when it works, and where it is in time.
 *
 * @property string $code of the site
 * @property ?string $time_zone null: that of the installation
 * @property list<int> $weekdays on which it works, 1 for Monday
 * @property string $shifts as Shift reads them
 * @property int $version
 * @property-read Collection<int, PlantDay> $days
 */
final class Plant extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'code';

    protected $keyType = 'string';

    protected $casts = ['weekdays' => 'array'];

    /** @return HasMany<PlantDay, $this> days on which it does otherwise than in other weeks */
    public function days(): HasMany
    {
        return $this->hasMany(PlantDay::class, 'plant')->orderBy('day');
    }

    public function calendar(): WorkCalendar
    {
        return WorkCalendar::of($this->weekdays, $this->days->pluck('works', 'day')->all(), Shift::parseAll($this->shifts));
    }
}
