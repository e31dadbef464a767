<?php

declare(strict_types=1);

namespace App\CutIn\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A day that was chosen for a request. It is never changed; choosing another makes another.
 *
 * @property int $id
 * @property int $request_id
 * @property array<string, mixed> $asked
 * @property array<string, mixed> $found
 * @property list<array{plant: string, kind: string, what: string, by: string, item: string, document: string, quantity: string,
 *     unit: string, for: ?string}> $to_do as CutInToDo is told
 * @property list<PlannedPart> $planned what would be left over and short, by the plan of that moment
 * @property list<array{plant: string, on: string}> $at_plants where plants cut in on days of their own
 * @property string $chosen_on
 * @property string $reason
 * @property CarbonImmutable $chosen_at
 * @property-read Person $person
 * @property-read ?CutInCheck $check
 * @property-read Collection<int, CutInOutcome> $outcomes
 *
 * @phpstan-type PlannedPart array{plant: string, item: string, unit: string, goes: bool, left: string, short: string, disposal: string,
 *     penalty: string}
 */
final class CutIn extends Model
{
    public $timestamps = false;

    protected $casts = [
        'asked' => 'array',
        'found' => 'array',
        'to_do' => 'array',
        'planned' => 'array',
        'at_plants' => 'array',
        'chosen_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasOne<CutInCheck, $this> */
    public function check(): HasOne
    {
        return $this->hasOne(CutInCheck::class);
    }

    /** @return HasMany<CutInOutcome, $this> what became of it, by plant */
    public function outcomes(): HasMany
    {
        return $this->hasMany(CutInOutcome::class);
    }

    /** The day on which a plant cuts in. */
    public function day(string $plant): string
    {
        return array_column($this->at_plants, 'on', 'plant')[$plant] ?? $this->chosen_on;
    }
}
