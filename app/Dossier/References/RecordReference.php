<?php

declare(strict_types=1);

namespace App\Dossier\References;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A record of another process that a report, a request or an order has to do with.
 *
 * @property int $id
 * @property string $change the number of the report, request or order
 * @property string $kind a code of the list of records
 * @property string $number
 * @property string $address of its page; empty: none
 * @property int $person_id
 * @property CarbonImmutable $made_at
 * @property-read Person $person
 */
final class RecordReference extends Model
{
    public $timestamps = false;

    protected $casts = ['made_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
