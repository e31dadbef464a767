<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * How long a plant takes to make one batch: what its operations take one after another. Minutes inside, set-up and run, go into the
 * working minutes of a day; what is begun of a day is a day. Days outside are as the supplier says.
 *
 * A batch of 10 with 15 minutes of set-up and 120 for each unit is 1,215 minutes; at 450 a day three days, and five for the painter make
 * eight.
 */
final readonly class RoutingLead
{
    /**
     * @param  int  $days  working days, of what is known
     * @param  list<string>  $missing  what is not known, in words
     */
    private function __construct(public int $days, public array $missing) {}

    /** @param  positive-int  $minutesADay  that the plant works */
    public static function of(Routing $routing, int $minutesADay): self
    {
        $inside = $outside = 0;
        $missing = [];
        foreach ($routing as $operation) {
            if (!$operation->isOutside()) {
                $run =
                    $operation->per === RunPer::Batch
                        ? $operation->run->thousandths
                        : FixedPoint::scale($operation->run->thousandths, $routing->batch->millionths, Quantity::ONE);
                $inside = FixedPoint::sum($inside, $operation->setUp->thousandths, $run);
            } elseif ($operation->leadTime === null) {
                $missing[] = "Operation {$operation->number}: nobody knows how long {$operation->supplier} takes.";
            } else {
                $outside += $operation->leadTime;
            }
        }
        $ofADay = $minutesADay * 1_000;

        return new self(intdiv($inside, $ofADay) + ($inside % $ofADay > 0 ? 1 : 0) + $outside, $missing);
    }
}
