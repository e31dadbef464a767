<?php

declare(strict_types=1);

namespace App\Changes;

use App\Changes\Data\ChangeRow;
use App\Changes\Models\ChangeOrder;
use App\Changes\Models\ChangeRequest;
use App\Problems\Models\ProblemReport;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Builder;

/** Reports, requests and orders that name an item, newest first. */
final readonly class ChangeList
{
    /** @return list<ChangeRow> those that name an item */
    public function naming(Item $item): array
    {
        $names = static fn (Builder $items): Builder => $items->where('items.id', $item->id);

        return self::merged(
            ProblemReport::query()->with('raisedBy')->whereHas('items', $names),
            ChangeRequest::query()->with('raisedBy')->whereHas('items', $names),
            ChangeOrder::query()->with(['author', 'editor', 'signer'])->whereHas('items', static fn (Builder $rows): Builder => $rows->where('item_id', $item->id)),
        );
    }

    /**
     * @param  Builder<ProblemReport>  $reports
     * @param  Builder<ChangeRequest>  $requests
     * @param  Builder<ChangeOrder>  $orders
     * @return list<ChangeRow>
     */
    private static function merged(Builder $reports, Builder $requests, Builder $orders): array
    {
        $rows = [
            ...$reports->get()->map(ChangeRow::ofReport(...))->all(),
            ...$requests->get()->map(ChangeRow::ofRequest(...))->all(),
            ...$orders->get()->map(ChangeRow::ofOrder(...))->all(),
        ];
        usort($rows, static fn (ChangeRow $a, ChangeRow $b): int => [$b->raised_at, $b->number] <=> [$a->raised_at, $a->number]);

        return $rows;
    }
}
