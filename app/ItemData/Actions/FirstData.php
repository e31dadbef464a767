<?php

declare(strict_types=1);

namespace App\ItemData\Actions;

use App\ItemData\FieldsOfItem;
use App\ItemData\ItemDataContents;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use App\Structures\RevisionSequences;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\RevisionStatus;

/** Puts on record what an item says of itself before it is first changed under an order, so that it stays readable. */
final readonly class FirstData
{
    public function __construct(private RevisionSequences $sequences, private ItemDataContents $contents) {}

    /** Nothing is done where there is such a record already. @throws Refusal when there is no such item */
    public function of(string $number): void
    {
        $item =
            Item::query()->with('category')->where('number', $number)->lockForUpdate()->first() ??
            throw Refusal::at('item', "There is no item {$number}.");
        if (
            Content::query()
                ->where(['item_id' => $item->id, 'kind' => ItemDataContents::NAME])
                ->exists()
        ) {
            return;
        }
        $since = $item->everReleased()->min('effective_from');
        $content = Content::query()->create([
            'item_id' => $item->id,
            'kind' => ItemDataContents::NAME,
            'plant' => '',
            'code' => $this->sequences->of($item)->next(null),
            'status' => RevisionStatus::InReview,
            'reason' => 'As it was before it first changed under an order',
        ]);
        $this->contents->write([$content->id => FieldsOfItem::today($item)]);
        $content->update([
            'status' => RevisionStatus::Released,
            'effective_from' => is_string($since)
                ? $since
                : DB::selectOne('SELECT created_at::date AS day FROM items WHERE id = ?', [$item->id])->day,
            'released_at' => CarbonImmutable::now(),
        ]);
    }
}
