<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Change\Waiver;

/**
 * A condition of an order that somebody lets go.
 *
 * @property int $id
 * @property int $order_id
 * @property string $condition its key
 * @property string $fault why it did not hold then
 * @property string $reason
 * @property int $person_id
 * @property CarbonImmutable $waived_at
 * @property ?CarbonImmutable $withdrawn_at
 * @property-read Person $person
 */
final class OrderWaiver extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['waived_at' => 'immutable_datetime', 'withdrawn_at' => 'immutable_datetime'];

    public function toCore(): Waiver
    {
        return new Waiver($this->condition, $this->fault, $this->person_id, $this->reason);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
