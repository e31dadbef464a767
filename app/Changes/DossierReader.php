<?php

declare(strict_types=1);

namespace App\Changes;

use App\Changes\Data\CheckRow;
use App\Changes\Data\Dossier;
use App\Changes\Data\OrderData;
use App\Changes\Data\OrderItemData;
use App\Changes\Data\RequestData;
use App\Changes\Data\StepRow;
use App\Changes\Models\ChangeOrder;
use App\Changes\Models\ChangeRequest;
use App\Changes\Models\OrderItem;
use App\Days\Today;
use App\Ledger\LedgerReader;
use App\Ledger\LedgerRow;
use App\People\Models\Person;
use App\Releases\Data\HandoverRow;
use App\Releases\Models\Handover;
use App\Structures\Data\ItemRow;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Auth;
use Orthotaxis\Core\Change\Check;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem as CoreOrderItem;
use Orthotaxis\Core\Change\OrderOfWork;
use Orthotaxis\Core\Change\OrderReadiness;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;

/** Puts one change together: its requests, its order, what planning said, who did what. */
final readonly class DossierReader
{
    public function __construct(private OrderReader $orders, private LedgerReader $ledger, private Collisions $collisions) {}

    /** @param  string  $number of a request or of an order */
    public function read(string $number): Dossier
    {
        $order = ChangeOrder::query()->where('number', $number)->first();
        if ($order === null) {
            $request = ChangeRequest::query()->with('orders')->where('number', $number)->firstOrFail();
            $order = $request->orders->last();
        }
        $requests = ChangeRequest::query()
            ->with(RequestData::RELATIONS)
            ->when(
                $order !== null && $order->number === $number,
                static fn ($query) => $query->whereRelation('orders', 'change_orders.id', $order?->id),
                static fn ($query) => $query->where('number', $number),
            )->orderBy('id')->get();
        $handovers = $order === null ? new Collection : $order->handovers()->with(['entries', 'latestMessage'])->get();
        $core = $order === null ? null : $this->orders->toCore($order);
        $checks = $core === null ? [] : self::checks($core);
        $first = $requests->first();
        $subjects = array_values(array_map(strval(...), [...$requests->pluck('number')->all(), ...($order === null ? [] : [$order->number])]));
        $acts = $this->ledger->about($subjects);
        $me = Auth::user();

        return new Dossier(
            $number,
            $order->title ?? $first->title ?? '',
            $order->priority ?? $first->priority ?? 'normal',
            self::steps($first, $order, $checks, $handovers),
            $requests->map(RequestData::of(...))->values()->all(),
            $order === null || $core === null ? null : OrderData::of($order, $core, $me instanceof Person ? $me : null, self::items($order, $core), array_map(CheckRow::of(...), $checks)),
            $handovers->map(HandoverRow::of(...))->values()->all(),
            $order === null ? [] : $this->collisions->of($order),
            array_map(LedgerRow::of(...), $acts),
            count($acts) < LedgerReader::NEWEST ? count($acts) : $this->ledger->countAbout($subjects),
        );
    }

    /** @return list<Check> what the next step of the order asks for */
    public static function checks(Order $core): array
    {
        return match ($core->state) {
            OrderState::Planning => OrderReadiness::forRevising($core),
            OrderState::Revising => OrderReadiness::forReview($core, Today::day()),
            OrderState::Signed => OrderReadiness::forRelease($core, Today::day()),
            default => [],
        };
    }

    /** @return list<OrderItemData> */
    public static function items(ChangeOrder $order, Order $core): array
    {
        $byNumber = array_column(array_map(static fn (CoreOrderItem $item): array => [$item->number, $item], $core->items), 1, 0);

        return $order->items->map(static function (OrderItem $row) use ($byNumber): OrderItemData {
            $item = $byNumber[$row->item->number];

            return new OrderItemData(
                ItemRow::of($row->item), $row->outcome->value, $row->disposition?->value, $item->baseRevision,
                $item->becomes(),
                $row->outcome === Outcome::Revise && $row->base_revision_id !== null && $item->baseRevision !== $item->latestRevision,
                count($item->comparison()->changes()),
            );
        })->values()->all();
    }

    /**
     * @param  list<Check>  $checks
     * @param  Collection<int, Handover>  $handovers
     * @return list<StepRow>
     */
    private static function steps(?ChangeRequest $request, ?ChangeOrder $order, array $checks, Collection $handovers): array
    {
        $steps = [];
        foreach (OrderOfWork::of($request?->state, $order?->state) as $step => $state) {
            $steps[] = new StepRow($step, $state->value, $state->value === 'now' ? self::missing($request, $order, $checks, $handovers) : []);
        }

        return $steps;
    }

    /**
     * @param  list<Check>  $checks
     * @param  Collection<int, Handover>  $handovers
     * @return list<string>
     */
    private static function missing(?ChangeRequest $request, ?ChangeOrder $order, array $checks, Collection $handovers): array
    {
        $unmet = array_values(array_map(static fn (Check $check): string => $check->reason, array_filter($checks, static fn (Check $check): bool => ! $check->met)));

        return match ($order?->state) {
            null => match ($request?->state) {
                RequestState::Raised => ['Record the finding.'],
                RequestState::Assessing => ['Approve it, reject it or send it back.'],
                RequestState::Returned => ["Sent back: {$request->decision_reason}"],
                RequestState::Gathered => ["Gathered into {$request->gatheredInto?->number}."],
                default => ['Turn it into an order.'],
            },
            OrderState::Planning => $unmet === [] ? ['Open the items for revision.'] : $unmet,
            OrderState::Revising => $unmet === [] ? ['Send it to review.'] : $unmet,
            OrderState::InReview => [($order->signer->name ?? 'Somebody').' signs or sends it back.'],
            OrderState::Signed => $unmet === [] ? ['Release it.'] : $unmet,
            OrderState::Released => $handovers->where('state', '!=', 'taken')->isEmpty()
                ? ['Close the order.']
                : $handovers->where('state', '!=', 'taken')->map(static fn (Handover $handover): string => match ($handover->state) {
                    'waiting' => "{$handover->name} is on its way to planning.",
                    'unanswered' => "Planning has not answered {$handover->name}.",
                    default => "Planning rejected entries of {$handover->name}.",
                })->values()->all(),
            default => [],
        };
    }
}
