<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Refusal;

/** Who may sign an order, and what they sign. Nobody both proposes and approves. */
final readonly class SigningRule
{
    /**
     * @param  Progress  $progress  on its path
     * @param  string  $seenDigest  the digest of what the signer had on screen
     *
     * @throws Refusal when this person may not sign this content now
     */
    public static function check(Order $order, Progress $progress, int $person, string $seenDigest): void
    {
        if ($order->state !== OrderState::InReview) {
            throw Refusal::at('order', 'Only an order in review can be signed.');
        }
        if (in_array($person, $order->proposers(), true)) {
            throw Refusal::at('signer', 'You raised or edited this order, so another person must sign it.');
        }
        if (!$progress->awaits($person)) {
            throw Refusal::at('signer', 'This order names another person to sign.');
        }
        if ($seenDigest !== Digest::of($order)) {
            throw Refusal::at('order', 'The order is not what you had on screen. Read it again before you sign.');
        }
    }
}
