<?php

declare(strict_types=1);

namespace App\Dossier;

use App\Orders\Models\ChangeOrder;
use App\Problems\Models\ProblemReport;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Structures\NamingChanges;
use App\Vocabulary\ChangeRow;
use Illuminate\Database\Eloquent\Builder;

/** Reports, requests and orders that name an item, newest first. */
final readonly class ChangeList implements NamingChanges
{
    public function naming(Item $item): array
    {
        $names = static fn(Builder $items): Builder => $items->where('items.id', $item->id);

        return self::merged(
            ProblemReport::query()->with('raisedBy')->whereHas('items', $names),
            ChangeRequest::query()->with('raisedBy')->whereHas('items', $names),
            ChangeOrder::orders()
                ->with(['author', 'actors'])
                ->whereHas('items', static fn(Builder $rows): Builder => $rows->where('item_id', $item->id)),
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
            ...$reports->get()->map(static fn(ProblemReport $one): ChangeRow => $one->row())->all(),
            ...$requests->get()->map(static fn(ChangeRequest $one): ChangeRow => $one->row())->all(),
            ...$orders->get()->map(static fn(ChangeOrder $one): ChangeRow => $one->row())->all(),
        ];
        usort($rows, static fn(ChangeRow $a, ChangeRow $b): int => [$b->raised_at, $b->number] <=> [$a->raised_at, $a->number]);

        return $rows;
    }
}
