<?php

declare(strict_types=1);

namespace App\Verification\Models;

use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One reading of planning's copy, of all of it or of some items, and how far it has come.
 *
 * @property int $id
 * @property ?int $order_id whose hand-over was answered
 * @property ?list<string> $items numbers; null: everything
 * @property VerificationState $state
 * @property ?int $asked_by
 * @property CarbonImmutable $asked_at
 * @property ?CarbonImmutable $started_at
 * @property ?CarbonImmutable $ended_at
 * @property int $parts
 * @property int $parts_done
 * @property int $compared rows of ours
 * @property int $differing
 * @property string $fault why planning could not be read
 * @property-read ?ChangeOrder $order
 * @property-read ?Person $askedBy
 */
final class Verification extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'items' => 'array',
        'state' => VerificationState::class,
        'asked_at' => 'immutable_datetime',
        'started_at' => 'immutable_datetime',
        'ended_at' => 'immutable_datetime',
    ];

    public static function ofEverything(): ?self
    {
        return self::query()->with('askedBy')->whereNull('items')->orderByDesc('id')->first();
    }

    /** Whether planning's copy is being read, all or some of it. */
    public static function isUnderWay(): bool
    {
        return self::query()
            ->whereIn('state', [VerificationState::Waiting, VerificationState::Running])
            ->where('asked_at', '>', self::lost())
            ->exists();
    }

    /** What was asked for before that and has not ended was lost with its worker. */
    public static function lost(): CarbonImmutable
    {
        return CarbonImmutable::now()->subHour();
    }

    /** @return BelongsTo<ChangeOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function askedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'asked_by');
    }
}
