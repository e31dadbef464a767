<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Release;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Readiness\Readiness;
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
        Readiness::mustHold(Readiness::forRelease($order, $today));
        $day = $order->effectiveOn ?? throw Refusal::at('effective_on', 'Set the effective date.');
        $items = [];
        foreach ($order->revised() as $item) {
            $items[] = new ItemRelease(
                number: $item->number,
                supersedes: $item->baseRevision,
                revision: (string) $item->becomes(),
                effectiveFrom: $day,
                disposition: $item->disposition,
                lines: $item->after,
                comparison: $item->comparison(),
            );
        }

        return new self($order->number, $day, $items);
    }
}
