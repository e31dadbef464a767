<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;

/**
 * @property int $id
 * @property int $order_id
 * @property int $item_id
 * @property Outcome $outcome
 * @property ?Disposition $disposition
 * @property ?int $base_revision_id
 * @property-read Item $item
 * @property-read ?Revision $base
 * @property-read ChangeOrder $order
 * @property-read Collection<int, EditRecord> $edits
 * @property-read Collection<int, Iteration> $iterations
 */
final class OrderItem extends Model
{
    protected $table = 'change_order_items';

    public $timestamps = false;

    protected $casts = ['outcome' => Outcome::class, 'disposition' => Disposition::class];

    /** @return BelongsTo<ChangeOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class, 'order_id');
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Revision, $this> */
    public function base(): BelongsTo
    {
        return $this->belongsTo(Revision::class, 'base_revision_id');
    }

    /** @return HasMany<Iteration, $this> newest first */
    public function iterations(): HasMany
    {
        return $this->hasMany(Iteration::class)->orderByDesc('number');
    }

    /** @return HasMany<EditRecord, $this> all that was ever done, in order */
    public function edits(): HasMany
    {
        return $this->hasMany(EditRecord::class)->orderBy('number');
    }
}
