<?php

declare(strict_types=1);

namespace App\Packages\Models;

use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * All that an order released, as one file in one language, of the day on which it was made.
 *
 * @property int $id
 * @property int $order_id
 * @property string $language
 * @property PackageState $state
 * @property int $asked_by
 * @property CarbonImmutable $asked_at
 * @property ?CarbonImmutable $ended_at
 * @property int $steps
 * @property int $steps_done
 * @property string $fault why it could not be made
 * @property ?string $file_id
 * @property int $bytes
 * @property ?string $sha256
 * @property-read ChangeOrder $order
 * @property-read Person $asker
 */
final class ReleasePackage extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['state' => PackageState::class, 'asked_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime'];

    /** "ECO-00085_en_2026-11-29.zip" */
    public function name(): string
    {
        return "{$this->order->number}_{$this->language}_{$this->asked_at->toDateString()}.zip";
    }

    /** @return BelongsTo<ChangeOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function asker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'asked_by');
    }
}
