<?php

declare(strict_types=1);

namespace App\FollowThrough\Models;

use App\People\Models\Person;
use App\Releases\Models\HandoverEntry;
use App\Structures\Models\Item;
use App\Tables\ReadOften;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\FollowThrough\OldState;
use Orthotaxis\Core\FollowThrough\Way;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;

/**
 * A stock lot or an open document in planning that names what a released order replaced, as planning told of it last.
 *
 * @property int $id
 * @property int $order_id
 * @property int $item_id
 * @property SupplyKind $kind
 * @property string $document
 * @property string $revision
 * @property string $comes
 * @property int $quantity millionths
 * @property string $unit
 * @property int $value ten-thousandths
 * @property ?string $due
 * @property string $place
 * @property string $status
 * @property string $serial
 * @property ?Way $proposed
 * @property bool $is_new
 * @property CarbonImmutable $first_read_at
 * @property ?CarbonImmutable $gone_at
 * @property ?Way $way
 * @property ?int $owner_id
 * @property ?string $due_on
 * @property string $note
 * @property ?CarbonImmutable $seen_at
 * @property ?int $handover_entry_id in which planning was told of the decision
 * @property-read Item $item
 * @property-read ?HandoverEntry $entry
 * @property-read ?Person $owner
 * @property-read ?Person $seenBy
 */
final class OldDocument extends Model
{
    use ReadOften;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'kind' => SupplyKind::class,
        'proposed' => Way::class,
        'way' => Way::class,
        'first_read_at' => 'immutable_datetime',
        'gone_at' => 'immutable_datetime',
        'seen_at' => 'immutable_datetime',
    ];

    /** As planning told of it last. */
    public function supply(): Supply
    {
        return new Supply(
            kind: $this->kind,
            document: $this->document,
            item: $this->item->number,
            revision: $this->revision,
            quantity: Quantity::ofMillionths($this->quantity),
            unit: Unit::from($this->unit),
            unitValue: Money::ofTenThousandths(0),
            due: $this->due === null ? null : Day::parse($this->due),
            place: $this->place,
            status: $this->status,
            serial: $this->serial,
        );
    }

    public function state(): OldState
    {
        return match (true) {
            $this->gone_at !== null, $this->seen_at !== null => OldState::Seen,
            $this->way !== null => OldState::Decided,
            default => OldState::Open,
        };
    }

    /** @return Builder<self> that keep an order from being closed */
    public static function holding(int $order): Builder
    {
        return self::query()->where('order_id', $order)->where('rank', '<', OldState::Seen->rank());
    }

    /** @return string what keeps an order from being closed; empty: nothing does */
    public static function leftOf(int $order): string
    {
        $open = self::holding($order)->count();

        return match ($open) {
            0 => '',
            1 => 'One document in planning still names what this order replaced.',
            default => "{$open} documents in planning still name what this order replaced.",
        };
    }

    /** @return BelongsTo<HandoverEntry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(HandoverEntry::class, 'handover_entry_id');
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function seenBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'seen_by');
    }
}
