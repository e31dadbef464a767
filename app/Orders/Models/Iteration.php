<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Saved work on the coming revision of an item: which edits held at that moment, and on which base.
 *
 * @property int $id
 * @property int $work_id
 * @property int $number
 * @property string $note
 * @property ?int $base_id
 * @property list<int> $edits
 * @property CarbonImmutable $saved_at
 * @property-read Person $person
 */
final class Iteration extends Model
{
    public $timestamps = false;

    protected $casts = ['edits' => 'array', 'saved_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
