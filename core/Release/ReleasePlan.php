<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Release;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderReadiness;
use Orthotaxis\Core\Refusal;

/** All that becomes true when an order is released; the same plan is previewed and carried out. */
final readonly class ReleasePlan
{
    /** @param  list<ItemRelease>  $items */
    private function __construct(public string $order, public Day $effectiveFrom, public array $items) {}

    /**
     * @throws Refusal naming every condition that does not hold
     */
    public static function of(Order $order, Day $today): self
    {
        $reasons = [];
        foreach (OrderReadiness::forRelease($order, $today) as $check) {
            if (! $check->met) {
                $reasons[$check->place] = isset($reasons[$check->place]) ? "{$reasons[$check->place]} {$check->reason}" : $check->reason;
            }
        }
        $day = $order->effectiveOn;
        if ($reasons !== [] || $day === null) {
            throw Refusal::because($reasons === [] ? ['effective_on' => 'Set the effective date.'] : $reasons);
        }
        $items = [];
        foreach ($order->revised() as $item) {
            $items[] = new ItemRelease(
                $item->number, $item->baseRevision, (string) $item->becomes(), $day, $item->disposition, $item->after, $item->comparison(),
            );
        }

        return new self($order->number, $day, $items);
    }
}
