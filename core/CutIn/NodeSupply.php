<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/**
 * What planning knows at a plant of one item above the parts: what is wanted of it, what there is, what is being made. Days count from
 * today.
 */
final readonly class NodeSupply
{
    /**
     * @var list<int> the day of each thing that is wanted; side by side with the two that follow, because planning walks a hundred
     * thousand of them
     */
    public array $wantedOn;

    /** @var list<int> millionths */
    public array $wanted;

    /** @var list<string> documents */
    public array $wantedBy;

    /**
     * @param  int  $onHand  millionths
     * @param  list<array{int, int, string}>  $wanted  day, millionths, document: sales orders and forecast; what is overdue is wanted today
     * @param  list<array{int, int, int, string, int}>  $orders  first day, day it is done, millionths, document, millionths that have their
     *     parts already
     * @param  int  $leadDays  working days between the first day of an order for it and the day it is done
     * @param  int  $weekly  millionths wanted each week behind what is told, the mean of a forecast; 0: nothing is forecast
     * @param  int  $until  the last day of which anything is told, where there is a forecast
     */
    public function __construct(
        public int $onHand = 0,
        array $wanted = [],
        public array $orders = [],
        public int $leadDays = 0,
        public int $weekly = 0,
        public int $until = 0,
    ) {
        $this->wantedOn = array_column($wanted, 0);
        $this->wanted = array_column($wanted, 1);
        $this->wantedBy = array_column($wanted, 2);
    }
}
