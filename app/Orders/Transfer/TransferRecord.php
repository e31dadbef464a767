<?php

declare(strict_types=1);

namespace App\Orders\Transfer;

use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was carried over to siblings, row by row.
 *
 * @property int $id
 * @property int $from_id
 * @property int $into_id
 * @property int $person_id
 * @property string $stroke
 * @property CarbonImmutable $made_at
 * @property list<array{source: string, target: string, what: string, fit: string, reason: string, taken: bool}> $rows
 * @property-read ChangeOrder $from
 * @property-read ChangeOrder $into
 * @property-read Person $person
 */
final class TransferRecord extends Model
{
    protected $table = 'transfers';

    public $timestamps = false;

    protected $casts = ['made_at' => 'immutable_datetime', 'rows' => 'array'];

    /** @return BelongsTo<ChangeOrder, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class, 'from_id');
    }

    /** @return BelongsTo<ChangeOrder, $this> */
    public function into(): BelongsTo
    {
        return $this->belongsTo(ChangeOrder::class, 'into_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
