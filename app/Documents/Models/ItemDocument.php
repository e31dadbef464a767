<?php

declare(strict_types=1);

namespace App\Documents\Models;

use App\Structures\Models\Item;
use App\Structures\Models\NamedOrder;
use App\Structures\Models\Revision;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;

/**
 * A drawing or document that describes an item, and the revision of the item that it shows.
 *
 * @property int $id
 * @property int $item_id
 * @property int $document_id
 * @property ?int $shows_revision_id
 * @property ?int $adopting_order_id whose release makes it show the newest
 * @property-read Item $item
 * @property-read Item $document
 * @property-read ?Revision $shows
 * @property-read ?NamedOrder $adoptingOrder
 */
final class ItemDocument extends Model
{
    public $timestamps = false;

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function document(): BelongsTo
    {
        return $this->belongsTo(Item::class, 'document_id');
    }

    /** @return BelongsTo<Revision, $this> */
    public function shows(): BelongsTo
    {
        return $this->belongsTo(Revision::class, 'shows_revision_id');
    }

    /** @return BelongsTo<NamedOrder, $this> */
    public function adoptingOrder(): BelongsTo
    {
        return $this->belongsTo(NamedOrder::class, 'adopting_order_id');
    }

    /**
     * At the release of an order the documents that were to adopt the newest revision show it, and those that were revised with the item
     * under the same order.
     *
     * @param  list<int>  $revised  ids of the items that got a new revision
     */
    public static function adopt(int $order, array $revised): void
    {
        DB::update(
            "
            UPDATE item_documents d SET adopting_order_id = NULL,
                shows_revision_id = COALESCE((SELECT r.id FROM revisions r WHERE r.item_id = d.item_id AND r.status = 'released'), d.shows_revision_id)
            WHERE d.adopting_order_id = :order OR (d.item_id = ANY (:revised::bigint[]) AND d.document_id = ANY (:revised_too::bigint[]))",
            ['order' => $order, 'revised' => ($ids = '{' . implode(',', $revised) . '}'), 'revised_too' => $ids],
        );
    }
}
