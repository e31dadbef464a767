<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

final readonly class SignedIsUnchanged implements Condition
{
    public function name(): string
    {
        return 'What was signed is unchanged';
    }

    public function place(): string
    {
        return 'signature';
    }

    public function fault(Order $order, Day $today): string
    {
        return $order->signedDigest !== null && Digest::covers($order->signedDigest, $order)
            ? ''
            : 'The content is not what was signed. Send it back and have it signed again.';
    }
}
