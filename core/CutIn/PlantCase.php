<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;

/** A change as it stands at one plant. */
final readonly class PlantCase
{
    /**
     * @param  non-empty-list<Part>  $parts  with as many days of demand each
     * @param  list<OpenOrder>  $orders  work orders that take any of a part until the cut-in
     */
    public function __construct(public string $plant, public PlantDays $days, public array $parts, public array $orders = []) {}

    /** What the change costs more from today on, ten-thousandths; less than nothing for a saving. */
    public function more(): int
    {
        $more = 0;
        foreach ($this->parts as $part) {
            $more = FixedPoint::add($more, FixedPoint::scale($part->cost->tenThousandths, $part->demand->stillMore[0], Quantity::ONE));
        }

        return $more;
    }

    /** Whether the change saves something: it is not put off because what comes is dearer. */
    public function saves(): bool
    {
        return $this->more() < 0;
    }

    public function horizon(): int
    {
        return count($this->parts[0]->demand->until);
    }
}
