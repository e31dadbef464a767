<?php

declare(strict_types=1);

namespace App\CutIn\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A day that was chosen for a request. It is never changed; choosing another makes another.
 *
 * @property int $id
 * @property int $request_id
 * @property array<string, mixed> $asked
 * @property array<string, mixed> $found
 * @property string $chosen_on
 * @property string $reason
 * @property CarbonImmutable $chosen_at
 * @property-read Person $person
 */
final class CutIn extends Model
{
    public $timestamps = false;

    protected $casts = ['asked' => 'array', 'found' => 'array', 'chosen_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
