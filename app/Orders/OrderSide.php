<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\Structures\Compare\PlannedSide;
use App\Structures\Compare\SideSpec;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Structure;

/** The lines of an item as they will be under an order, now or when an iteration of the work was saved; of engineering or of a plant. */
final readonly class OrderSide implements PlannedSide
{
    public function __construct(private OrderReader $orders, private WorkContents $works) {}

    public function of(SideSpec $spec, string $place): Structure
    {
        [, $content] = $this->content($spec, $place);

        return $content instanceof HasLines ? $content->lines() : throw new \LogicException('A structure has lines.');
    }

    /**
     * @return array{Work, Content} what the order does, and what it makes of it, or made when the iteration was saved
     *
     * @throws Refusal at the place, when it does nothing to it
     */
    public function content(SideSpec $spec, string $place): array
    {
        [$order, $work] = $this->work($spec, $place);
        if ($spec->iteration === null) {
            return [$work, $work->after];
        }
        $record =
            $order->items
                ->firstOrFail('item_id', $spec->item->id)
                ->works->first(
                    static fn(WorkRecord $one): bool => [$one->kind, $one->plant] === [$work->subject->kind, $work->subject->plant],
                ) ?? throw Refusal::at($place, "There is no work on {$spec->item->number} yet.");

        return [$work, $this->works->kept($record, $spec->iteration)];
    }

    /**
     * @return array{ChangeOrder, Work} what the order does to the structure that the side names
     *
     * @throws Refusal at the place, when it does nothing to it
     */
    private function work(SideSpec $spec, string $place): array
    {
        $order =
            ChangeOrder::query()->where('number', (string) $spec->order)->first() ??
            throw Refusal::at($place, "There is no order {$spec->order}.");
        foreach ($this->orders->toCore($order)->works() as $work) {
            if (
                $work->subject->item === $spec->item->number &&
                $work->subject->kind === $spec->view->kind->value &&
                in_array($spec->view->plant, ['', $work->subject->plant], true)
            ) {
                return [$order, $work];
            }
        }
        $what = $spec->view->plant === '' ? '' : " at {$spec->view->plant}";
        throw Refusal::at($place, "{$order->number} does not revise {$spec->item->number}{$what}.");
    }
}
