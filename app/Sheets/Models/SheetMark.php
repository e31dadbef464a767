<?php

declare(strict_types=1);

namespace App\Sheets\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A mark of change on the face of a sheet (ASME Y14.35): where something has changed with the revision it bears.
 *
 * @property int $id
 * @property string $file_id
 * @property int $page
 * @property float $left share of the width of the page
 * @property float $top share of its height
 * @property string $zone
 * @property string $note
 * @property int $person_id
 * @property CarbonImmutable $set_at
 * @property-read Person $person
 */
final class SheetMark extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['left' => 'float', 'top' => 'float', 'set_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
