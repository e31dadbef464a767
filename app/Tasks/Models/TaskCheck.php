<?php

declare(strict_types=1);

namespace App\Tasks\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A row of the check list of a task.
 *
 * @property int $task_id
 * @property int $place
 * @property string $text
 * @property ?int $ticked_by
 * @property ?CarbonImmutable $ticked_at
 * @property-read ?Person $ticker
 */
final class TaskCheck extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $guarded = [];

    protected $casts = ['ticked_at' => 'immutable_datetime'];

    /** @return BelongsTo<Person, $this> */
    public function ticker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'ticked_by');
    }
}
