<?php

declare(strict_types=1);

namespace App\Structures\Models;

use App\Orders\Models\ChangeOrder;
use App\Structures\ItemKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Revision\RevisionStatus;

/**
 * @property int $id
 * @property string $number
 * @property string $title
 * @property ItemKind $kind
 * @property int $category_id
 * @property Unit $unit
 * @property string $supply
 * @property bool $sold
 * @property ?int $standard_cost ten-thousandths of the currency unit
 * @property ?int $lead_time_days
 * @property ?string $supplier
 * @property ?int $mass milligrams
 * @property ?string $material
 * @property-read Category $category
 * @property-read ?Revision $released
 * @property-read Collection<int, Revision> $revisions
 * @property-read Collection<int, ChangeOrder> $revisingOrders
 */
final class Item extends Model
{
    public $timestamps = false;

    protected $casts = ['kind' => ItemKind::class, 'unit' => Unit::class, 'sold' => 'boolean', 'attributes' => 'array'];

    /** @return BelongsTo<Category, $this> */
    public function category(): BelongsTo
    {
        return $this->belongsTo(Category::class);
    }

    /** @return HasMany<Revision, $this> newest first */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class)->orderByDesc('id');
    }

    /** @return HasOne<Revision, $this> the newest released revision */
    public function released(): HasOne
    {
        $released = $this->hasOne(Revision::class);
        $released->where('status', RevisionStatus::Released->value);

        return $released;
    }

    /** What work on it starts from: the released revision, or what was begun of the first one, if anything. */
    public function workBase(): ?Revision
    {
        return $this->released ?? $this->revisions()->first();
    }

    /** @return BelongsToMany<ChangeOrder, $this> open orders under which it is being revised now */
    public function revisingOrders(): BelongsToMany
    {
        return $this->belongsToMany(ChangeOrder::class, 'change_order_items', 'item_id', 'order_id')
            ->wherePivot('outcome', Outcome::Revise->value)
            ->whereIn('state', [OrderState::Revising->value, OrderState::InReview->value, OrderState::Signed->value])
            ->orderBy('change_orders.id');
    }

    /** @return Builder<self> with all that a row on screen shows of it */
    public static function rows(): Builder
    {
        return self::query()->with(['category', 'released', 'revisingOrders']);
    }
}
