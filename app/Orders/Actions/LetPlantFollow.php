<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\PlantFollows;
use App\Orders\Events\PlantFollowsNoMore;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\FollowUp;
use App\Orders\Models\OrderItem;
use App\People\Models\Person;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** Decides that a plant takes over what an order changes of an item later, under another order that names the item; or takes that back. */
final readonly class LetPlantFollow
{
    public function __construct(private Ledger $ledger) {}

    public function set(
        Person $by,
        string $number,
        string $item,
        string $plant,
        string $under,
        Day $day,
        string $reason,
        int $version,
    ): void {
        $this->ledger->together(function () use ($by, $number, $item, $plant, $under, $day, $reason, $version): void {
            [$order, $row] = self::held($number, $item, $version);
            $other = ChangeOrder::query()->where('number', $under)->first() ?? throw Refusal::at('order', "There is no order {$under}.");
            match (true) {
                $other->id === $order->id => throw Refusal::at('order', 'Name another order: this one does not follow itself.'),
                !$other->state->isOpen() => throw Refusal::at('order', "{$under} is no longer open."),
                !$other->items()->where('item_id', $row->item_id)->exists() => throw Refusal::at(
                    'order',
                    "{$under} does not name {$item}. Put it on that order first.",
                ),
                default => null,
            };
            FollowUp::query()->updateOrCreate(
                ['order_id' => $order->id, 'item_id' => $row->item_id, 'plant' => $plant],
                ['under_id' => $other->id, 'by_day' => (string) $day, 'reason' => $reason],
            );
            $order->update(['version' => $version + 1]);
            event(new PlantFollows($by->login, $number, $item, $plant, under: $under, day: (string) $day, reason: $reason));
        });
    }

    public function takeBack(Person $by, string $number, string $item, string $plant, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $item, $plant, $version): void {
            [$order, $row] = self::held($number, $item, $version);
            $there = FollowUp::query()->where(['order_id' => $order->id, 'item_id' => $row->item_id, 'plant' => $plant]);
            if ($there->delete() === 0) {
                throw Refusal::at('plant', "{$plant} does not follow later.");
            }
            $order->update(['version' => $version + 1]);
            event(new PlantFollowsNoMore($by->login, $number, $item, $plant));
        });
    }

    /** @return array{ChangeOrder, OrderItem} */
    private static function held(string $number, string $item, int $version): array
    {
        $order = ChangeOrder::hold($number);
        $order->mustBeAt($version);
        PlanOrder::mustBeOpen($order);

        return [
            $order,
            $order->items()->whereRelation('item', 'number', $item)->first() ?? throw Refusal::at('item', "{$item} is not on {$number}."),
        ];
    }
}
