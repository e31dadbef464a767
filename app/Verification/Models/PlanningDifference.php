<?php

declare(strict_types=1);

namespace App\Verification\Models;

use App\Orders\Models\ChangeOrder;
use App\Releases\Models\HandoverEntry;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Content\PartAction;
use Orthotaxis\Core\Verification\CopyDifference;
use Orthotaxis\Core\Verification\CopyRow;
use Orthotaxis\Core\Verification\Mover;

/**
 * A row in which planning's copy says something else than what holds here, as it was found last.
 *
 * @property int $id
 * @property string $key
 * @property string $structure
 * @property string $plant
 * @property string $item
 * @property string $revision
 * @property PartAction $mark
 * @property ?string $ours
 * @property ?string $theirs
 * @property Mover $mover
 * @property ?int $order_id
 * @property ?int $handover_entry_id
 * @property CarbonImmutable $found_at
 * @property int $verification_id
 * @property-read ?ChangeOrder $order
 * @property-read ?HandoverEntry $entry
 */
final class PlanningDifference extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['mark' => PartAction::class, 'mover' => Mover::class, 'found_at' => 'immutable_datetime'];

    public function difference(): CopyDifference
    {
        return new CopyDifference(
            $this->ours === null ? null : CopyRow::read($this->ours),
            $this->theirs === null ? null : CopyRow::read($this->theirs),
        );
    }

    /** @return string what keeps an order from being closed; empty: nothing does */
    public static function leftOf(int $order): string
    {
        $some = self::query()->where('order_id', $order)->count();

        return match ($some) {
            0 => '',
            1 => "Planning's copy differs in one row from what this order released.",
            default => "Planning's copy differs in {$some} rows from what this order released.",
        };
    }

    /** @return BelongsTo<ChangeOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class);
    }

    /** @return BelongsTo<HandoverEntry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(HandoverEntry::class, 'handover_entry_id');
    }
}
