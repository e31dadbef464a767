<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderState;

/** How far a change has come on its path: who can act now, and what is still missing. Nobody else has to know of signers. */
final readonly class Progress
{
    /**
     * @param  list<int>  $acting  ids of the people who can sign now, none twice; none before and after review
     * @param  int  $lacking  how many signatures the step under way still needs
     */
    private function __construct(public bool $done, public array $acting, public int $lacking) {}

    public static function of(Order $order): self
    {
        return self::on(Path::oneSigner($order->signer), $order->state === OrderState::InReview, $order->signedBy);
    }

    /**
     * @param  bool  $inReview  whether it is being judged now
     * @param  list<int>  $signed  ids of people whose signatures hold
     */
    public static function on(Path $path, bool $inReview, array $signed): self
    {
        foreach ($path->steps as $step) {
            $lacking = $step->lacks($signed);
            if ($lacking > 0) {
                return new self(false, $inReview ? array_values(array_diff(array_unique($step->people), $signed)) : [], $lacking);
            }
        }

        return new self(true, [], 0);
    }

    public function awaits(int $person): bool
    {
        return in_array($person, $this->acting, true);
    }
}
