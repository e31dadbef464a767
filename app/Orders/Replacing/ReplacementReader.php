<?php

declare(strict_types=1);

namespace App\Orders\Replacing;

use App\Days\Today;
use App\Orders\EditGuard;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Replacing\Data\ReplacedItem;
use App\Orders\Replacing\Data\ReplacementPage;
use App\Orders\Replacing\Data\ReplacementRow;
use App\People\Models\Person;
use App\Structures\DatedData;
use App\Structures\ItemCosts;
use App\Structures\ItemRows;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Impact\CostDifference;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Replacement\Heirs;
use Orthotaxis\Core\Replacement\Incoming;
use Orthotaxis\Core\Replacement\Occurrence;
use Orthotaxis\Core\Structure\Structure;

/** Shows what replacing a component would do, line by line, before it is done. */
final readonly class ReplacementReader
{
    public function __construct(private UsesReader $uses, private EditGuard $guard) {}

    /** The first day of the revisions that an order makes, as far as anybody has said. */
    public static function effective(ChangeOrder $order): Day
    {
        return $order->effective_on === null ? Today::day() : Day::parse($order->effective_on);
    }

    public function of(Person $by, ChangeOrder $order, AskedReplacement $asked, UseFilter $filter): ReplacementPage
    {
        $uses = $this->uses->of($order, $asked->old, array_values($asked->new));
        $chosen = $filter->of($uses, $asked->effective);
        $heirs = new Heirs(static fn(): string => (string) Str::uuid7());
        $found = array_map(
            static fn(UsedIn $use): array => Occurrence::in($use->lines, $asked->replacement, $asked->effective, $heirs),
            $chosen,
        );
        $faults = $this->faults($order, $chosen, $found);
        $items = ItemRows::byId([
            $asked->old->id,
            ...array_map(static fn($item): int => $item->id, array_values($asked->new)),
            ...array_map(static fn(UsedIn $use): int => $use->item, $chosen),
        ]);
        $costs = ItemCosts::on($asked->effective, collect([$asked->old, ...array_values($asked->new)]));
        $named = $order->items->keyBy('item_id');
        $rows = [];
        foreach ($chosen as $of => $use) {
            foreach ($found[$of] as $at => $occurrence) {
                $rows[] = ReplacementRow::of(
                    $use,
                    $items[$use->item],
                    $occurrence,
                    isset($named[$use->item]) && $named[$use->item]->outcome->mayChange($use->subject->kind),
                    $order->number,
                    $occurrence->fault ?? ($faults[$of][$at] ?? null),
                    CostDifference::settled(
                        $asked->replacement->from ?? $asked->effective,
                        new Structure([$occurrence->before]),
                        new Structure($occurrence->after),
                        $costs,
                    ),
                );
            }
        }
        $data = DatedData::on($asked->effective, [
            $asked->old->id,
            ...array_map(static fn($item): int => $item->id, array_values($asked->new)),
        ]);

        return new ReplacementPage(
            order: $order->number,
            order_title: $order->title,
            state: $order->state->value,
            effective_on: $order->effective_on,
            old: new ReplacedItem($items[$asked->old->id], null, $data->leadTime($asked->old->id, $asked->old->lead_time_days)),
            new: array_map(
                static fn(Incoming $one): ReplacedItem => new ReplacedItem(
                    $items[$asked->new[$one->component]->id],
                    (string) $one->ratio,
                    $data->leadTime($asked->new[$one->component]->id, $asked->new[$one->component]->lead_time_days),
                ),
                $asked->replacement->new,
            ),
            from: $asked->replacement->from === null ? null : (string) $asked->replacement->from,
            works: UseFilter::works($uses),
            may_replace: self::refusal($by, $order),
            may_name: OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null,
            currency: config()->string('orthotaxis.currency'),
            rows: $rows,
        );
    }

    /** @return ?string why the person cannot do it now */
    private static function refusal(Person $by, ChangeOrder $order): ?string
    {
        if (!$order->state->allowsEdits()) {
            return $order->state === OrderState::Planning
                ? "{$order->number} is not open for revision yet."
                : "{$order->number} is locked: its structures cannot be edited.";
        }

        return OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null ? null : OrderPolicy::refusal(OrderAct::Revise, $by, $order);
    }

    /**
     * What only the whole of all structures shows: loops.
     *
     * @param  list<UsedIn>  $chosen
     * @param  list<list<Occurrence>>  $found
     * @return array<int, array<int, Refusal>> by use and occurrence
     */
    private function faults(ChangeOrder $order, array $chosen, array $found): array
    {
        $subjects = $places = [];
        foreach ($chosen as $of => $use) {
            $changes = [];
            foreach ($found[$of] as $at => $occurrence) {
                foreach ($occurrence->after as $line) {
                    if ($line->component !== $occurrence->before->component) {
                        $places[$of][] = $at;
                        $changes[] = [$line, null];
                    }
                }
            }
            $work = new WorkRecord(['kind' => $use->subject->kind, 'plant' => $use->subject->plant]);
            $row = new OrderItem(['item_id' => $use->item]);
            $subjects[$of] = ['work' => $work->setRelation('row', $row->setRelation('order', $order)), 'changes' => $changes];
        }
        $faults = [];
        foreach ($this->guard->faultsOf($subjects) as $of => $some) {
            foreach ($some as $at => $refusal) {
                $faults[$of][$places[$of][$at]] ??= $refusal;
            }
        }

        return $faults;
    }
}
