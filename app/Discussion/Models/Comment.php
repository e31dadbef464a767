<?php

declare(strict_types=1);

namespace App\Discussion\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody said on a report, request, order or item. It stays as it was said; what is decided is pinned.
 *
 * @property int $id
 * @property string $subject number of what it is said on
 * @property int $person_id
 * @property string $text
 * @property CarbonImmutable $made_at
 * @property ?int $pinned_by
 * @property ?CarbonImmutable $pinned_at
 * @property-read Person $person
 * @property-read ?Person $pinnedBy
 */
final class Comment extends Model
{
    public $timestamps = false;

    protected $casts = ['made_at' => 'immutable_datetime', 'pinned_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function pinnedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'pinned_by');
    }
}
