<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Release;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Readiness\Readiness;
use Orthotaxis\Core\Refusal;

/** All that becomes true when an order is released; the same plan is previewed and carried out. */
final readonly class ReleasePlan
{
    /**
     * @param  list<ItemRelease>  $items  those that get a new revision
     * @param  list<ContentRelease>  $contents  all that is released, of these and of items that keep their revision
     */
    private function __construct(public string $order, public Day $effectiveFrom, public array $items, public array $contents) {}

    /** @return list<string> what is released, in words: "200-0010 A → B", "200-0010, manufacturing at Weir B" */
    public function inWords(): array
    {
        return array_map(
            static fn(ContentRelease $one): string => $one->supersedes === null
                ? "{$one->subject} → {$one->revision}"
                : "{$one->subject} {$one->supersedes} → {$one->revision}",
            $this->contents,
        );
    }

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
                supersedes: $item->base->revision,
                revision: (string) $item->becomes(),
                effectiveFrom: $day,
                disposition: $item->disposition,
                lines: $item->after(),
                comparison: $item->comparison(),
            );
        }

        return new self(
            $order->number,
            $day,
            $items,
            array_map(
                static fn(Work $work): ContentRelease => new ContentRelease(
                    $work->subject,
                    $work->base->revision,
                    $work->base->becomes(),
                    $work->after,
                    $work->before,
                ),
                $order->works(),
            ),
        );
    }
}
