<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Data\ConflictRow;
use App\Orders\Data\NewerPage;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use App\Structures\Models\Content;
use Orthotaxis\Core\Content\Choice;
use Orthotaxis\Core\Content\Conflict;

/** Sets beside each other what an order does to a subject and what others have released of it meanwhile. */
final readonly class NewerReader
{
    public function __construct(private WorkContents $works) {}

    /** Where the order does nothing to the subject, there is nothing beside which anything would stand. */
    public function read(NamedWork $named): NewerPage
    {
        $order = ChangeOrder::query()->where('number', $named->order)->firstOrFail();
        $work = WorkRecord::query()
            ->with(['edits', 'base', 'row.item'])
            ->where(['kind' => $named->kind, 'plant' => $named->plant])
            ->whereHas('row', static fn($row) => $row->where('order_id', $order->id)->whereRelation('item', 'number', $named->item))
            ->first();
        if ($work === null) {
            return new NewerPage(base: null, newest: null, edits: 0, agreed: 0, conflicts: []);
        }
        $newest = $work->newestBase();
        $merge = $this->works->merge($work, $newest);
        $theirs = array_fill_keys(array_map(static fn(Conflict $one): string => $one->key(), $merge->conflicts), Choice::Theirs);

        return new NewerPage(
            base: $work->base?->code,
            newest: Content::query()->find($newest)?->code,
            edits: $work->holding()->count(),
            agreed: count(array_filter($merge->resolved($theirs), static fn($edit): bool => $edit === null)),
            conflicts: array_map(ConflictRow::of(...), $merge->conflicts),
        );
    }
}
