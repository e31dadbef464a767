<?php

declare(strict_types=1);

namespace App\Orders\Models;

use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Edit\Edit;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Structure\LineField;

/**
 * One edit with its author and moment. It is never deleted: undoing withdraws it, and doing something else afterwards
 * discards it.
 *
 * @property int $id
 * @property int $order_item_id
 * @property int $number
 * @property EditOperation $operation
 * @property string $line_key
 * @property array<value-of<LineField>, string> $fields
 * @property int $author_id
 * @property CarbonImmutable $made_at
 * @property ?CarbonImmutable $withdrawn_at
 * @property ?CarbonImmutable $discarded_at
 * @property-read Person $author
 */
final class EditRecord extends Model
{
    protected $table = 'edits';

    public $timestamps = false;

    protected $casts = [
        'operation' => EditOperation::class,
        'fields' => 'array',
        'made_at' => 'immutable_datetime',
        'withdrawn_at' => 'immutable_datetime',
        'discarded_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'author_id');
    }

    public function toCore(): Edit
    {
        return $this->operation->of($this->line_key, $this->fields);
    }
}
