<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\People\Models\Person;
use App\Tables\ReadOften;
use App\Tasks\Models\ChangeTask;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Query\Expression;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Structure\LineField;

/**
 * One edit with its author and moment. It is never deleted: undoing withdraws it, and doing something else afterwards
 * discards it.
 *
 * @property int $id
 * @property int $work_id
 * @property int $number
 * @property ?int $act the number of the first of those that were made together
 * @property ?string $stroke what was done together to several subjects; null: to this one alone
 * @property string $operation the name of its kind
 * @property int $version in which it is kept
 * @property string $part what of the subject it is an edit of
 * @property array<string, string> $fields
 * @property ?int $task_id under which its author made it; null: the order itself
 * @property int $author_id
 * @property CarbonImmutable $made_at
 * @property ?CarbonImmutable $withdrawn_at
 * @property ?CarbonImmutable $discarded_at
 * @property-read Person $author
 * @property-read ?ChangeTask $task
 * @property-read WorkRecord $work
 */
final class EditRecord extends Model
{
    use ReadOften;

    protected $table = 'edits';

    public $timestamps = false;

    protected $casts = [
        'fields' => 'array',
        'made_at' => 'immutable_datetime',
        'withdrawn_at' => 'immutable_datetime',
        'discarded_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<WorkRecord, $this> */
    public function work(): BelongsTo
    {
        return $this->belongsTo(WorkRecord::class, 'work_id');
    }

    /** @return BelongsTo<ChangeTask, $this> */
    public function task(): BelongsTo
    {
        return $this->belongsTo(ChangeTask::class, 'task_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'author_id');
    }

    /**
     * Now, by the clock that all web servers share and finer than what two people do: what is withdrawn last is done again first.
     *
     * @return Expression<'clock_timestamp()'>
     */
    public static function moment(): Expression
    {
        return new Expression('clock_timestamp()');
    }

    /** Not undone. There are thousands on an order: the moment is not made for the answer. */
    public function holds(): bool
    {
        return $this->attributes['withdrawn_at'] === null;
    }

    /**
     * As kept, for the same reason without a way through the model for each of them.
     *
     * @return array{string, int, string, array<string, string>} its kind, the version in which it is kept, what it is of and what it says
     */
    public function kept(): array
    {
        /** @var array{operation: string, version: int, part: string, fields: string} $row */
        $row = $this->attributes;
        /** @var array<string, string> $fields */
        $fields = json_decode($row['fields'], true, flags: JSON_THROW_ON_ERROR);

        return [$row['operation'], $row['version'], $row['part'], $fields];
    }

    /** As what it is where the subject is lines. */
    public function ofLine(): LineEdit
    {
        /** @var array<value-of<LineField>, string> $fields */
        $fields = $this->fields;

        return EditOperation::from($this->operation)->of($this->part, $fields);
    }
}
