<?php

declare(strict_types=1);

namespace App\Dossier\Proposals;

use App\Dossier\Data\Proposal;
use App\Orders\Data\OrderItemData;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\OrderView;
use App\Orders\ProposalRule;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;

/** What each request of a change proposes. */
final readonly class ProposalReader
{
    public function __construct(private OrderReader $orders) {}

    /**
     * @param  Collection<int, ChangeRequest>  $requests  with their items
     * @param  ?ChangeOrder  $order  on which they are
     * @return list<Proposal>
     */
    public function of(?Person $by, Collection $requests, ?ChangeOrder $order): array
    {
        $proposals = ChangeOrder::query()->whereIn('number', $requests->pluck('number'))->where('state', OrderState::Proposed)->get();
        $read = $this->orders->many($proposals);
        $rows = $proposals->keyBy('number')->map(static fn(ChangeOrder $one): array => OrderView::items($one, $read[$one->id]));
        // One alone is never otherwise than another.
        $left = $order === null || $requests->count() < 2 ? [] : self::leftOut($order);

        return $requests
            ->map(static function (ChangeRequest $request) use ($by, $rows, $left): Proposal {
                $items = $rows[$request->number] ?? [];
                $open = array_map(static fn(OrderItemData $row): string => $row->item->number, $items);

                return new Proposal(
                    request: $request->number,
                    may_propose: $by !== null && ProposalRule::refusalOf($by, $request) === null,
                    names_more: array_diff($request->items->pluck('number')->all(), $open) !== [],
                    items: $items,
                    left_out: $left[$request->id] ?? [],
                );
            })
            ->values()
            ->all();
    }

    /** @return array<int, list<string>> by request */
    private static function leftOut(ChangeOrder $order): array
    {
        return DB::table('change_order_requests')
            ->where('order_id', $order->id)
            ->pluck('left_out', 'request_id')
            ->map(static fn(string $keys): array => array_values(array_filter((array) json_decode($keys, true), is_string(...))))
            ->all();
    }
}
