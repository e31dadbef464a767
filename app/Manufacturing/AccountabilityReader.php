<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\AccountabilityPage;
use App\Manufacturing\Data\UnderOrder;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderPolicy;
use App\Orders\OrderReader;
use App\People\Models\Person;
use App\Structures\Data\ItemRow;
use App\Structures\ItemRows;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Manufacturing\Accounted;
use Orthotaxis\Core\Manufacturing\Share;
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
     * As it is in force, some lines at a time.
     *
     * @param  ?string  $plant  null: the first that builds it
     * @param  bool  $onlyOpen  lines that are not accounted for
     * @param  int  $from  the first of these lines, from 0
     *
     * @throws Refusal when a kit contains itself
     */
    public function read(Item $item, ?string $plant, Day $day, bool $onlyOpen = false, int $from = 0): AccountabilityPage
    {
        $key = KeptAccount::key($item->id, $plant, $day);
        $account = KeptAccount::find($key);
        $lines = $account === null ? null : KeptAccount::lines($key, $onlyOpen, $from);
        if ($account === null || $lines === null) {
            [$account, $all, $open] = $this->released($item, $plant, $day);
            $account->keep($key, $all, $open);
            $lines = array_slice($onlyOpen ? $open : $all, $from, KeptAccount::AT_ONCE);
        }

        return AccountabilityPage::inForce(
            $item->number,
            $account,
            $onlyOpen ? $account->open : $account->total,
            $from,
            $lines,
            self::items($lines, $account->additions),
        );
    }

    /** @return array{KeptAccount, list<Accounted>, list<Accounted>} with all lines, and those that are open */
    private function released(Item $item, ?string $plant, Day $day): array
    {
        $item->loadMissing('everReleased');
        $engineering = $this->declared->of(collect([$item]), $day);
        $built = $this->plants->inForce(collect([$item]), $engineering, $day);
        $chosen = self::at($built, $plant);
        $of = $chosen === null ? Accountability::of($engineering[$item->id], []) : $this->plants->account([$chosen], $day)[0];
        $open = $of->open();

        return [
            new KeptAccount(
                plants: array_map(static fn(BuiltAt $one): string => $one->plant, $built),
                plant: $chosen?->plant,
                built: $chosen?->released?->code,
                builds: $item->everReleased->firstWhere('id', $chosen?->released?->builds_id)?->code,
                declared: DeclaredStructures::revision($item, $day)?->code,
                total: count($of->lines),
                open: count($open),
                additions: $of->additions,
            ),
            $of->lines,
            $open,
        ];
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

        $day = BuildsOfOrder::day($order);
        $of = $chosen === null ? Accountability::of(new Structure(), []) : $this->plants->account([$chosen], $day, $all)[0];
        $edited = new Subject(Subject::MANUFACTURING, $item->number, $chosen->plant ?? '');
        $under = UnderOrder::of($order, $row, $edited->plant, OrderPolicy::mayEdit($by, $order, $edited));
        $suggested = $siblings = [];
        if ($chosen !== null && $under->may_edit) {
            $siblings = $this->suggestions->siblings($chosen, $of, $day);
            $asked = $sibling === null ? $siblings[0] ?? null : ($sibling === '' ? null : $sibling);
            try {
                $suggested = $this->suggestions->read($chosen, $of, $day, $asked);
            } catch (Refusal $refusal) {
                // What is wrong with an example that nobody asked for is not wrong with this item.
                $asked = $sibling === null ? null : throw $refusal;
                $suggested = $this->suggestions->read($chosen, $of, $day, null);
            }
            $sibling = $asked;
        }

        return AccountabilityPage::underOrder(
            $item->number,
            $chosen,
            plants: array_map(static fn(BuiltAt $one): string => $one->plant, $built),
            builds: $item->everReleased->firstWhere('id', $chosen?->released?->builds_id)?->code,
            declared: DeclaredStructures::revision($item, $day)?->code,
            of: $of,
            suggested: $suggested,
            items: self::items($of->lines, $of->additions),
            order: $under,
            siblings: $siblings,
            sibling: $suggested === [] ? null : $sibling,
        );
    }

    /** @param  list<BuiltAt>  $built */
    private static function at(array $built, ?string $plant): ?BuiltAt
    {
        return $plant === null
            ? $built[0] ?? null
            : array_values(array_filter($built, static fn(BuiltAt $one): bool => $one->plant === $plant))[0] ?? null;
    }

    /**
     * @param  list<Accounted>  $lines
     * @param  list<Share>  $additions
     * @return array<string, ItemRow> all that they name, by number
     */
    private static function items(array $lines, array $additions): array
    {
        $numbers = [];
        foreach ([...array_merge(...array_column($lines, 'shares')), ...$additions] as $share) {
            array_push($numbers, $share->part->component(), ...$share->part->through);
        }
        foreach ($lines as $line) {
            array_push($numbers, $line->line->component, ...array_filter([$line->record?->by]));
        }

        return ItemRows::byNumber(array_values(array_unique($numbers)));
    }
}
