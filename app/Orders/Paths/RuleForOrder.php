<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Paths\ChosenByRule;
use App\Paths\Judges;
use App\Paths\Models\ApprovalPath;
use Orthotaxis\Core\Approval\Facts;

/** Which path a rule chooses for an order as it is now. */
final readonly class RuleForOrder
{
    public function __construct(private OrderReader $orders, private FactsOfOrder $facts) {}

    /** @return ?ApprovalPath null where no rule chooses any: one person signs */
    public function of(ChangeOrder $order): ?ApprovalPath
    {
        return ChosenByRule::of(Judges::Orders, fn(): Facts => new Facts($this->facts->of($order, $this->orders->toCore($order))));
    }
}
