<?php

declare(strict_types=1);

namespace App\Dossier\Actions;

use App\Dossier\CarriedOver;
use App\Dossier\Events\RequestLeftOrder;
use App\Dossier\Proposals\ProposedEdits;
use App\Ledger\Ledger;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;

/** Adds an approved request to an order that is still being planned, or takes it out again. */
final readonly class OrderRequests
{
    public function __construct(private Ledger $ledger) {}

    public function add(Person $by, string $number, string $request, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $request, $version): void {
            $order = self::planned($number, $version);
            CarriedOver::into($by, $order, ChangeRequest::hold($request));
            $order->version++;
            $order->save();
        });
    }

    /**
     * The request is approved and without an order again. Items that it alone named go with it, but for those about which somebody has
     * decided otherwise meanwhile; what was written stays.
     *
     * @return list<string> numbers of the items that went
     */
    public function takeOut(Person $by, string $number, string $request, int $version): array
    {
        return $this->ledger->together(function () use ($by, $number, $request, $version): array {
            $order = self::planned($number, $version);
            $held = ChangeRequest::hold($request);
            if (!$order->requests()->whereKey($held->id)->exists()) {
                throw Refusal::at('request', "{$request} is not on {$number}.");
            }
            $order->requests()->detach($held->id);
            $others = $order->requests()->with('items')->get()->flatMap(static fn(ChangeRequest $one) => $one->items->pluck('id'));
            $carried = array_diff_key(ProposedEdits::rows($held) + CarriedOver::rows($held), $others->flip()->all());
            $gone = $order
                ->items()
                ->with('item')
                ->whereIn('item_id', array_keys($carried))
                ->get()
                ->filter(
                    static fn(OrderItem $row): bool => $row->disposition === $carried[$row->item_id]['disposition'] &&
                        $row->outcome === $carried[$row->item_id]['outcome'],
                );
            $gone->each(static fn(OrderItem $row) => $row->delete());
            ProposedEdits::again($order);
            $held->update(['state' => RequestState::Approved, 'version' => $held->version + 1]);
            $order->version++;
            $order->save();
            $items = $gone->map(static fn(OrderItem $row): string => $row->item->number)->values()->all();
            event(new RequestLeftOrder($by->login, $number, $request, $items));

            return $items;
        });
    }

    private static function planned(string $number, int $version): ChangeOrder
    {
        $order = ChangeOrder::hold($number);
        $order->mustBeAt($version);
        if ($order->state !== OrderState::Planning) {
            throw Refusal::at('request', "{$number} is not being planned any more: its requests stay as they are.");
        }

        return $order;
    }
}
