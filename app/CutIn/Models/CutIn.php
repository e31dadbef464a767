<?php

declare(strict_types=1);

namespace App\CutIn\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
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
 * @property list<array{plant: string, on: string}> $at_plants where plants cut in on days of their own
 * @property string $chosen_on
 * @property string $reason
 * @property CarbonImmutable $chosen_at
 * @property-read Person $person
 * @property-read ?CutInCheck $check
 */
final class CutIn extends Model
{
    public $timestamps = false;

    protected $casts = [
        'asked' => 'array',
        'found' => 'array',
        'to_do' => 'array',
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
}
