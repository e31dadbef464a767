<?php

declare(strict_types=1);

namespace App\Changes;

use App\Changes\Data\ChangeRow;
use App\Changes\Models\ChangeOrder;
use App\Changes\Models\ChangeRequest;
use App\Reports\Models\ProblemReport;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Report\ReportState;

/** Reports, requests and orders together, newest first. */
final readonly class ChangeList
{
    private const MOST = 500;

    /**
     * @param  string  $show  open, closed or all
     * @return list<ChangeRow>
     */
    public function filtered(string $show, string $words, string $priority): array
    {
        $reports = ProblemReport::query()->with('raisedBy');
        $requests = ChangeRequest::query()->with('raisedBy');
        $orders = ChangeOrder::query()->with(['author', 'editor', 'signer']);
        if ($show !== 'all') {
            $reports->whereIn('state', ReportState::open(), 'and', $show !== 'open');
            $requests->whereIn('state', RequestState::closed(), 'and', $show === 'open');
            $orders->whereIn('state', [OrderState::Closed->value, OrderState::Withdrawn->value], 'and', $show === 'open');
        }
        foreach ([[$reports, 'severity'], [$requests, 'priority'], [$orders, 'priority']] as [$query, $column]) {
            if ($priority !== '') {
                $query->where($column, $priority);
            }
            foreach (preg_split('/\s+/', $words, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
                $query->whereRaw("(number || ' ' || title ILIKE ? OR words @@ plainto_tsquery('english', ?))", ['%'.addcslashes($word, '%_\\').'%', $word]);
            }
            $query->latest('raised_at')->limit(self::MOST);
        }

        return self::merged($reports, $requests, $orders);
    }

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
