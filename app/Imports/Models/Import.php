<?php

declare(strict_types=1);

namespace App\Imports\Models;

use App\Imports\Subject;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $id
 * @property Subject $subject
 * @property string $file what it is called
 * @property string $file_id its content
 * @property string $sha256
 * @property string $first_day
 * @property string $state waiting, checking, writing, done, refused, failed or cancelled
 * @property int $rows read so far
 * @property int $fault_count
 * @property list<array{row: int, column: string, reason: string}> $faults the first of them
 * @property ?string $marked_id the file with its bad cells marked, where it was refused for them
 * @property string $outcome
 * @property int $person_id
 * @property CarbonImmutable $asked_at
 * @property ?CarbonImmutable $ended_at
 * @property ?CarbonImmutable $seen_at when its worker last said that it is at it
 * @property-read Person $person
 */
final class Import extends Model
{
    use HasUuids;

    /** The states an import ends in; on the way it is waiting, checking and writing. */
    public const ENDED = ['done', 'refused', 'failed', 'cancelled'];

    public $timestamps = false;

    protected $casts = [
        'subject' => Subject::class,
        'faults' => 'array',
        'asked_at' => 'immutable_datetime',
        'ended_at' => 'immutable_datetime',
        'seen_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
