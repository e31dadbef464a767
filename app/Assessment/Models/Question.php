<?php

declare(strict_types=1);

namespace App\Assessment\Models;

use App\Assessment\Topic;
use App\Attachments\Models\ChangeFile;
use App\People\Models\Person;
use App\People\Rights;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Assessment\QuestionState;

/**
 * One thing that one person, or everybody of one role, is asked about one item of a request.
 *
 * @property int $id
 * @property int $request_id
 * @property int $item_id
 * @property string $function of the company, by its code
 * @property Topic $topic
 * @property string $text
 * @property ?int $person_id
 * @property ?string $role  code
 * @property string $due_on
 * @property QuestionState $state
 * @property string $answer
 * @property ?int $one_time ten-thousandths of the currency unit
 * @property ?int $recurring the same, for one unit of the item
 * @property ?string $file_id
 * @property CarbonImmutable $asked_at
 * @property ?CarbonImmutable $answered_at
 * @property int $version how often it was answered
 * @property-read ChangeRequest $request
 * @property-read Item $item
 * @property-read ?Person $person
 * @property-read Person $askedBy
 * @property-read ?Person $answeredBy
 * @property-read ?ChangeFile $file
 */
final class Question extends Model
{
    public $timestamps = false;

    protected $casts = [
        'topic' => Topic::class,
        'state' => QuestionState::class,
        'asked_at' => 'immutable_datetime',
        'answered_at' => 'immutable_datetime',
    ];

    /** Whether this person is the one who is asked, or one of those. */
    public function asks(Person $person): bool
    {
        return $this->role === null ? $this->person_id === $person->id : $person->has($this->role);
    }

    /** Name of the person or the role. */
    public function asked(): string
    {
        return $this->person->name ?? (app(Rights::class)->name((string) $this->role) ?? '');
    }

    /** @return BelongsTo<ChangeRequest, $this> */
    public function request(): BelongsTo
    {
        return $this->belongsTo(ChangeRequest::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function askedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'asked_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function answeredBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'answered_by');
    }

    /** @return BelongsTo<ChangeFile, $this> */
    public function file(): BelongsTo
    {
        return $this->belongsTo(ChangeFile::class);
    }
}
