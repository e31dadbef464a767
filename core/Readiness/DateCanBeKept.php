<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\EffectiveDate;
use Orthotaxis\Core\Change\Order;

final readonly class DateCanBeKept implements Condition
{
    public function name(): string
    {
        return 'The effective date can be kept';
    }

    public function place(): string
    {
        return 'effective_on';
    }

    public function fault(Order $order, Day $today): string
    {
        return (string) EffectiveDate::fault($order, $today);
    }
}
