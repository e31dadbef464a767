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
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Task\Task;
use Orthotaxis\Core\Task\TaskState;

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
 * @property ?int $holder_id who has claimed it, of those of the role
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
 * @property-read ?Person $holder
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
        return match (true) {
            $this->holder_id !== null => $this->holder_id === $person->id,
            $this->role === null => $this->person_id === $person->id,
            default => $person->has($this->role),
        };
    }

    /** As the task that it is: for one person, or for all of a role, of whom one may claim it. */
    public function standing(): Task
    {
        $holder = $this->holder_id ?? $this->person_id;

        return Task::kept(
            match ($this->state) {
                QuestionState::Waiting => $holder === null ? TaskState::Open : TaskState::Claimed,
                QuestionState::Withdrawn => TaskState::Withdrawn,
                default => TaskState::Done,
            },
            $this->role === null ? array_values(array_filter([$this->person_id], is_int(...))) : $this->ofRole(),
            $holder,
            [],
            [],
        );
    }

    /** @return Builder<self> that wait for this person, or for one of a role that they have, as long as nobody of it has claimed them */
    public static function needing(Person $person): Builder
    {
        return self::query()
            ->where('state', QuestionState::Waiting->value)
            ->where(static function (Builder $asked) use ($person): void {
                $asked->where('holder_id', $person->id)->orWhere(static function (Builder $open) use ($person): void {
                    $open->whereNull('holder_id')->where(static function (Builder $who) use ($person): void {
                        $who->where('person_id', $person->id)->orWhereIn('role', $person->roles);
                    });
                });
            });
    }

    /** @return list<int> ids of the active people of the role */
    private function ofRole(): array
    {
        $people = Person::query()->where('active', true)->get()->filter(fn(Person $one): bool => $one->has((string) $this->role));

        return array_values($people->map(static fn(Person $one): int => $one->id)->all());
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
    public function holder(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'holder_id');
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
