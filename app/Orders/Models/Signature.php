<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $order_id
 * @property int $person_id
 * @property string $meaning signed or sent_back
 * @property string $reason
 * @property string $digest of the content that it covers
 * @property CarbonImmutable $signed_at
 * @property bool $void
 * @property-read Person $person
 */
final class Signature extends Model
{
    public $timestamps = false;

    protected $casts = ['signed_at' => 'immutable_datetime', 'void' => 'boolean'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
