<?php

declare(strict_types=1);

namespace App\Tasks\Models;

use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Content\Subject;

/**
 * A subject of an order that is edited by a task.
 *
 * @property int $task_id
 * @property int $item_id
 * @property string $kind
 * @property string $plant
 * @property-read Item $item
 */
final class TaskSubject extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $guarded = [];

    public function subject(): Subject
    {
        return new Subject($this->kind, $this->item->number, $this->plant);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}
