<?php

declare(strict_types=1);

namespace App\Tasks\Models;

use App\Http\SavedInTurn;
use App\People\Models\Group;
use App\People\Models\Person;
use App\Tasks\TaskKind;
use App\Vocabulary\Priority;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Orthotaxis\Core\Task\Task;
use Orthotaxis\Core\Task\TaskState;

/**
 * What somebody is to do for a report, a request or an order.
 *
 * @property int $id
 * @property string $number
 * @property string $change number of the report, request or order
 * @property TaskKind $kind
 * @property string $title
 * @property string $text
 * @property ?int $person_id
 * @property ?int $group_id
 * @property ?int $holder_id who has it, or had it when it ended
 * @property TaskState $state
 * @property ?string $due_on
 * @property Priority $priority
 * @property ?int $estimate_hours
 * @property string $result
 * @property ?string $source what it was made of, so that it is made once; null: by hand
 * @property bool $before_review whether its order is not sent to review before it is done
 * @property bool $before_release whether its order is not released before it is done
 * @property ?int $path_id the approval path that it was made for
 * @property ?int $path_place which of the tasks of the path it is
 * @property int $made_by
 * @property CarbonImmutable $made_at
 * @property ?CarbonImmutable $ended_at
 * @property int $version
 * @property-read ?Person $person
 * @property-read ?Group $group
 * @property-read ?Person $holder
 * @property-read Person $maker
 * @property-read Collection<int, TaskSubject> $subjects what it edits of an order
 * @property-read Collection<int, TaskCheck> $checks
 * @property-read Collection<int, self> $waits those it waits for
 * @property-read Collection<int, TaskComment> $comments
 */
final class ChangeTask extends Model
{
    use SavedInTurn;

    protected $table = 'tasks';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'kind' => TaskKind::class,
        'state' => TaskState::class,
        'priority' => Priority::class,
        'before_review' => 'boolean',
        'before_release' => 'boolean',
        'made_at' => 'immutable_datetime',
        'ended_at' => 'immutable_datetime',
    ];

    /** How it stands, by the rules of tasks. */
    public function standing(): Task
    {
        return Task::kept(
            $this->state,
            $this->person_id === null ? $this->group?->active() ?? [] : [$this->person_id],
            $this->holder_id,
            array_values($this->checks->whereNull('ticked_at')->pluck('text')->all()),
            array_values(
                $this->waits
                    ->filter(static fn(self $one): bool => $one->state->isOpen())
                    ->map(static fn(self $one): string => "{$one->number} {$one->title}")
                    ->all(),
            ),
        );
    }

    /** Saves what has become of how it stands. */
    public function become(Task $standing): void
    {
        $this->update(['state' => $standing->state, 'holder_id' => $standing->holder, 'version' => $this->version + 1]);
    }

    /** @return Builder<self> with all that a row of a list tells */
    public static function whole(): Builder
    {
        return self::query()->with(['person', 'group.members', 'holder', 'maker', 'checks', 'waits']);
    }

    /** @return Builder<self> those that this person has, or may claim */
    public static function needing(Person $person): Builder
    {
        return self::whole()->where(
            static fn(Builder $any): Builder => $any
                ->where(
                    static fn(Builder $held): Builder => $held->where('state', TaskState::Claimed->value)->where('holder_id', $person->id),
                )
                ->orWhere(
                    static fn(Builder $open): Builder => $open
                        ->where('state', TaskState::Open->value)
                        ->where(
                            static fn(Builder $of): Builder => $of
                                ->where('person_id', $person->id)
                                ->orWhereHas('group.members', static fn(Builder $member): Builder => $member->whereKey($person->id)),
                        ),
                ),
        );
    }

    /** @return Builder<self> those of a change that are not done */
    public static function openOf(string $change): Builder
    {
        return self::query()
            ->where('change', $change)
            ->whereIn('state', array_map(static fn(TaskState $state): string => $state->value, TaskState::ahead()));
    }

    /** @return HasMany<TaskSubject, $this> */
    public function subjects(): HasMany
    {
        return $this->hasMany(TaskSubject::class, 'task_id')->orderBy('item_id')->orderBy('kind')->orderBy('plant');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function holder(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'holder_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'made_by');
    }

    /** @return HasMany<TaskCheck, $this> */
    public function checks(): HasMany
    {
        return $this->hasMany(TaskCheck::class, 'task_id')->orderBy('place');
    }

    /** @return BelongsToMany<self, $this> */
    public function waits(): BelongsToMany
    {
        return $this->belongsToMany(self::class, 'task_waits', 'task_id', 'for_id')->orderBy('tasks.id');
    }

    /** @return HasMany<TaskComment, $this> */
    public function comments(): HasMany
    {
        return $this->hasMany(TaskComment::class, 'task_id')->orderBy('id');
    }
}
