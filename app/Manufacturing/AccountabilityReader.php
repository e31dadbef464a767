<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\AccountabilityPage;
use App\Manufacturing\Data\UnderOrder;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\OrderReader;
use App\People\Models\Person;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/** What a plant has taken over of an item as engineering declares it on a day, or as an open order would make both. */
final readonly class AccountabilityReader
{
    public function __construct(
        private PlantStructures $plants,
        private DeclaredStructures $declared,
        private BuildsOfOrder $ordered,
        private OrderReader $orders,
        private SuggestionReader $suggestions,
    ) {}

    /**
     * @param  ?string  $plant  null: the first that builds it
     *
     * @throws Refusal when a kit contains itself
     */
    public function read(Item $item, ?string $plant, Day $day): AccountabilityPage
    {
        $engineering = $this->declared->of(collect([$item]), $day);
        $built = $this->plants->inForce(collect([$item]), $engineering, $day);

        return $this->page($item, self::at($built, $plant), $built, $engineering[$item->id], $day, null);
    }

    /**
     * @param  ?string  $plant  null: the first that builds it
     * @param  ?string  $sibling  by whose example it would be taken over; empty: nobody's; null: of the most alike
     *
     * @throws Refusal when the order does not name the item, or a kit contains itself
     */
    public function underOrder(Person $by, Item $item, ?string $plant, string $number, ?string $sibling): AccountabilityPage
    {
        $order = ChangeOrder::query()->where('number', $number)->first() ?? throw Refusal::at('order', "There is no order {$number}.");
        $row =
            $order->items()->where('item_id', $item->id)->first() ?? throw Refusal::at('order', "{$number} does not name {$item->number}.");
        $all = $this->ordered->of($order, $this->orders->toCore($order), $plant);
        $built = array_values(array_filter($all, static fn(BuiltAt $one): bool => $one->item->number === $item->number));
        $chosen = self::at($built, $plant);

        return $this->page(
            $item,
            $chosen,
            $built,
            $chosen->engineering ?? new Structure(),
            BuildsOfOrder::day($order),
            UnderOrder::of($order, $row, $chosen->plant ?? '', self::mayEdit($by, $order)),
            $all,
            $sibling,
        );
    }

    private static function mayEdit(Person $by, ChangeOrder $order): bool
    {
        return $order->state === OrderState::Revising && OrderPolicy::refusal(OrderAct::Revise, $by, $order) === null;
    }

    /** @param  list<BuiltAt>  $built */
    private static function at(array $built, ?string $plant): ?BuiltAt
    {
        return $plant === null
            ? $built[0] ?? null
            : array_values(array_filter($built, static fn(BuiltAt $one): bool => $one->plant === $plant))[0] ?? null;
    }

    /**
     * @param  list<BuiltAt>  $built  of the item
     * @param  list<BuiltAt>  $coming  all that the order makes
     */
    private function page(
        Item $item,
        ?BuiltAt $chosen,
        array $built,
        Structure $engineering,
        Day $day,
        ?UnderOrder $order,
        array $coming = [],
        ?string $sibling = null,
    ): AccountabilityPage {
        $of = $chosen === null ? Accountability::of($engineering, []) : $this->plants->account([$chosen], $day, $coming)[0];
        $numbers = [];
        foreach ([...array_merge(...array_column($of->lines, 'shares')), ...$of->additions] as $share) {
            array_push($numbers, $share->part->component(), ...$share->part->through);
        }
        foreach ($of->lines as $line) {
            array_push($numbers, $line->line->component, ...array_filter([$line->record?->by]));
        }

        $suggested = $siblings = [];
        if ($chosen !== null && $order?->may_edit === true) {
            $siblings = $this->suggestions->siblings($chosen, $of, $day);
            $sibling = $sibling === null ? $siblings[0] ?? null : ($sibling === '' ? null : $sibling);
            $suggested = $this->suggestions->read($chosen, $of, $day, $sibling);
        }

        return AccountabilityPage::of(
            $item->number,
            $chosen,
            plants: array_map(static fn(BuiltAt $one): string => $one->plant, $built),
            builds: $item->everReleased->firstWhere('id', $chosen?->released?->builds_id)?->code,
            declared: DeclaredStructures::revision($item, $day)?->code,
            of: $of,
            suggested: $suggested,
            items: ItemRows::byNumber(array_values(array_unique($numbers))),
            order: $order,
            siblings: $siblings,
            sibling: $suggested === [] ? null : $sibling,
        );
    }
}
