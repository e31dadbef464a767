<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\People\Models\Person;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Belonging\LeftBehind;
use Orthotaxis\Core\Change\BelongingKind;

/**
 * What belongs to an item on an order and is left as it is.
 *
 * @property int $id
 * @property int $order_id
 * @property int $item_id
 * @property BelongingKind $kind
 * @property int $other_id
 * @property string $fault
 * @property string $reason
 * @property int $person_id
 * @property CarbonImmutable $left_at
 * @property ?CarbonImmutable $withdrawn_at
 * @property-read Item $item
 * @property-read Item $other
 * @property-read Person $person
 */
final class LeftBehindRecord extends Model
{
    public $timestamps = false;

    protected $table = 'left_behind';

    protected $guarded = [];

    protected $casts = ['kind' => BelongingKind::class, 'left_at' => 'immutable_datetime', 'withdrawn_at' => 'immutable_datetime'];

    public function toCore(): LeftBehind
    {
        return new LeftBehind($this->item->number, $this->kind, $this->other->number, $this->fault, $this->reason);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function other(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
