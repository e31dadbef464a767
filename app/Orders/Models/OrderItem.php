<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\Structures\Models\Item;
use App\Tables\ReadOften;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Subject;

/**
 * @property int $id
 * @property int $order_id
 * @property int $item_id
 * @property Outcome $outcome
 * @property ?Disposition $disposition
 * @property array<string, string> $done what was done, by language
 * @property-read Item $item
 * @property-read ChangeOrder $order
 * @property-read Collection<int, WorkRecord> $works
 */
final class OrderItem extends Model
{
    use ReadOften;

    protected $table = 'change_order_items';

    public $timestamps = false;

    protected $attributes = ['done' => '{}'];

    protected $casts = ['outcome' => Outcome::class, 'disposition' => Disposition::class, 'done' => 'array'];

    /** What was done in a language, else in any; where nothing is said, the title of its order tells it. */
    public function doneIn(string $language, string $title): string
    {
        return $this->done[$language] ?? (array_values($this->done)[0] ?? $title);
    }

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

    /** @return HasMany<WorkRecord, $this> what the order does to it; none before it is opened for work */
    public function works(): HasMany
    {
        return $this->hasMany(WorkRecord::class)->orderBy('id');
    }

    /** What is done to its revision in the narrow sense. */
    public function engineering(): ?WorkRecord
    {
        return $this->works->first(static fn(WorkRecord $work): bool => $work->kind === Subject::ENGINEERING);
    }

    /** Begins work on a subject of it, or goes on where there was some. */
    public function workOn(?int $base, string $kind = Subject::ENGINEERING, string $plant = ''): WorkRecord
    {
        $work = $this->works()->firstOrNew(['kind' => $kind, 'plant' => $plant]);
        $work->fill(['base_id' => $work->base_id ?? $base])->save();

        return $work;
    }

    /** The released revision that work on it starts from, if one does. Before the order is opened, that is the newest. */
    public function baseCode(): ?string
    {
        $base = $this->engineering()?->base;

        return match (true) {
            $base !== null => $base->status->isFrozen() ? $base->code : null,
            $this->order->state->allowsEdits() => null,
            default => $this->item->released?->code,
        };
    }
}
