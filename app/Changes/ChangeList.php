<?php

declare(strict_types=1);

namespace App\Changes;

use App\Changes\Data\ChangeRow;
use App\Changes\Models\ChangeOrder;
use App\Changes\Models\ChangeRequest;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;

/** Requests and orders together, newest first. */
final readonly class ChangeList
{
    private const MOST = 500;

    /**
     * @param  string  $show  open, closed or all
     * @return list<ChangeRow>
     */
    public function filtered(string $show, string $words, string $priority): array
    {
        $requests = ChangeRequest::query()->with('raisedBy');
        $orders = ChangeOrder::query()->with(['author', 'editor', 'signer']);
        if ($show !== 'all') {
            $requests->whereIn('state', [RequestState::Rejected->value, RequestState::Ordered->value], 'and', $show === 'open');
            $orders->whereIn('state', [OrderState::Closed->value, OrderState::Withdrawn->value], 'and', $show === 'open');
        }
        foreach ([$requests, $orders] as $query) {
            if ($priority !== '') {
                $query->where('priority', $priority);
            }
            foreach (preg_split('/\s+/', $words, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
                $query->whereRaw("(number || ' ' || title ILIKE ? OR words @@ plainto_tsquery('english', ?))", ['%'.addcslashes($word, '%_\\').'%', $word]);
            }
            $query->latest('raised_at')->limit(self::MOST);
        }

        return self::merged($requests, $orders);
    }

    /** @return list<ChangeRow> those that name an item */
    public function naming(Item $item): array
    {
        $names = static fn (Builder $items): Builder => $items->where('items.id', $item->id);

        return self::merged(
            ChangeRequest::query()->with('raisedBy')->whereHas('items', $names),
            ChangeOrder::query()->with(['author', 'editor', 'signer'])->whereHas('items', static fn (Builder $rows): Builder => $rows->where('item_id', $item->id)),
        );
    }

    /**
     * @param  Builder<ChangeRequest>  $requests
     * @param  Builder<ChangeOrder>  $orders
     * @return list<ChangeRow>
     */
    private static function merged(Builder $requests, Builder $orders): array
    {
        $rows = [
            ...$requests->get()->map(ChangeRow::ofRequest(...))->all(),
            ...$orders->get()->map(ChangeRow::ofOrder(...))->all(),
        ];
        usort($rows, static fn (ChangeRow $a, ChangeRow $b): int => [$b->raised_at, $b->number] <=> [$a->raised_at, $a->number]);

        return $rows;
    }
}
