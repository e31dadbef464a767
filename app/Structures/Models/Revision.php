<?php

declare(strict_types=1);

namespace App\Structures\Models;

use App\People\Models\Person;
use App\Tables\ReadOften;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Revision\DatedRevision;
use Orthotaxis\Core\Revision\RevisionStatus;

/**
 * @property int $id
 * @property int $item_id
 * @property string $code
 * @property ?string $plant that builds it so; null: it is no manufacturing structure
 * @property RevisionStatus $status
 * @property int $iteration
 * @property ?string $effective_from
 * @property ?string $effective_to the first day it no longer holds
 * @property ?int $order_id
 * @property ?int $released_by
 * @property ?CarbonImmutable $released_at
 * @property string $reason
 * @property-read Item $item
 * @property-read ?NamedOrder $order
 * @property-read ?Person $releasedBy
 */
final class Revision extends Model
{
    use ReadOften;

    public $timestamps = false;

    protected $casts = ['status' => RevisionStatus::class, 'released_at' => 'immutable_datetime'];

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<NamedOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(NamedOrder::class, 'order_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function releasedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'released_by');
    }

    public function dated(): DatedRevision
    {
        return DatedRevision::kept($this->code, $this->status, $this->effective_from, $this->effective_to);
    }

    /** @return \Closure(Builder<self>): mixed asks for what holds on a day, to be tapped into a query */
    public static function effectiveOn(Day $day): \Closure
    {
        return static fn(
            Builder $query,
        ): Builder => $query->whereNotIn('status', [RevisionStatus::InWork->value, RevisionStatus::InReview->value])->whereRaw('effective_from <= ? AND (effective_to IS NULL OR effective_to > ?)', [(string) $day, (string) $day]);
    }
}
