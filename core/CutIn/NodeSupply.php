<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** What planning knows of one item above the component: what is wanted of it, what there is, what is being made. Days count from today. */
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
     * @param  list<array{int, int, string}>  $wanted  day, millionths, document: sales orders and forecast
     * @param  list<array{int, int, int, string, bool}>  $orders  first day, day it is done, millionths, document, whether its parts are
     *     issued already
     * @param  int  $leadDays  between the first day of an order for it and the day it is done
     */
    public function __construct(public int $onHand = 0, array $wanted = [], public array $orders = [], public int $leadDays = 0)
    {
        $this->wantedOn = array_column($wanted, 0);
        $this->wanted = array_column($wanted, 1);
        $this->wantedBy = array_column($wanted, 2);
    }
}
