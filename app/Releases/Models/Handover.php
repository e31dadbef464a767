<?php

declare(strict_types=1);

namespace App\Releases\Models;

use App\Orders\Models\ChangeOrder;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * @property int $id
 * @property ?int $order_id null: it corrects what planning has
 * @property int $number the running number
 * @property string $name of its files without ending; the key by which planning knows it again
 * @property string $kind release, correction or documents
 * @property string $state waiting, taken, partly_refused, refused or unanswered
 * @property CarbonImmutable $written_at
 * @property ?CarbonImmutable $answered_at
 * @property list<string> $introduced numbers of items that planning lacked and was told of first
 * @property-read ?ChangeOrder $order
 * @property-read Collection<int, HandoverFile> $files
 * @property-read Collection<int, HandoverEntry> $entries
 * @property-read ?OutboxMessage $latestMessage
 */
final class Handover extends Model
{
    public $timestamps = false;

    protected $casts = ['written_at' => 'immutable_datetime', 'answered_at' => 'immutable_datetime', 'introduced' => 'array'];

    /** @return list<string> items that planning has to know before it can take what it has not taken yet */
    public function names(): array
    {
        $names = [];
        foreach ($this->entries->where('answer', '!=', 'taken') as $entry) {
            array_push($names, ...$entry->names());
        }

        return array_values(array_unique($names));
    }

    /** @return Builder<self> what an order has released, without what was said of documents since */
    public static function released(int $order): Builder
    {
        return self::query()->where('order_id', $order)->where('kind', 'release');
    }

    /** What the ledger knows it by: its order, or itself. */
    public function subject(): string
    {
        return $this->order->number ?? $this->name;
    }

    /** @return BelongsTo<ChangeOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class, 'order_id');
    }

    /** @return HasMany<HandoverFile, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(HandoverFile::class)->orderBy('id');
    }

    /** @return HasMany<HandoverEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(HandoverEntry::class)->orderBy('number');
    }

    /** @return HasOne<OutboxMessage, $this> */
    public function latestMessage(): HasOne
    {
        return $this->hasOne(OutboxMessage::class)->latestOfMany();
    }
}
