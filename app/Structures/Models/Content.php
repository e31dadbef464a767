<?php

declare(strict_types=1);

namespace App\Structures\Models;

use App\Tables\ReadOften;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Orthotaxis\Core\Revision\RevisionStatus;

/**
 * One revision of one subject: of what engineering declares of an item, of what its design model says, or of what a plant builds. The
 * engineering ones are the revisions of the item.
 *
 * @property int $id
 * @property int $item_id
 * @property string $kind
 * @property string $plant
 * @property ?int $builds_id the revision of the item that it was drawn or planned for
 * @property string $code
 * @property RevisionStatus $status
 * @property int $iteration
 * @property ?string $effective_from
 * @property ?string $effective_to the first day it no longer holds
 * @property ?int $order_id
 * @property ?int $released_by
 * @property ?CarbonImmutable $released_at
 * @property string $reason
 * @property-read Item $item
 */
final class Content extends Model
{
    use ReadOften;

    public $timestamps = false;

    protected $casts = ['status' => RevisionStatus::class, 'released_at' => 'immutable_datetime'];

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}
