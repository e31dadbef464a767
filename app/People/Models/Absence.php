<?php

declare(strict_types=1);

namespace App\People\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Calendar\Day;

/**
 * Days on which a person is away, and who stands in.
 *
 * @property int $id
 * @property int $person_id
 * @property ?int $deputy_id
 * @property string $first_day
 * @property string $last_day
 * @property-read Person $person
 * @property-read ?Person $deputy
 */
final class Absence extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return Builder<self> */
    public static function holding(Day $day): Builder
    {
        return self::query()->where('first_day', '<=', (string) $day)->where('last_day', '>=', (string) $day);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function deputy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'deputy_id');
    }
}
