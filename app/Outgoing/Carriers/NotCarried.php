<?php

declare(strict_types=1);

namespace App\Outgoing\Carriers;

/** A message did not arrive; its own message says why. */
final class NotCarried extends \RuntimeException
{
    /** @param  bool  $isFinal  the receiver does not want it, however often it is sent */
    public function __construct(string $why, public readonly bool $isFinal = false, ?\Throwable $from = null)
    {
        parent::__construct(mb_substr(mb_scrub($why), 0, 300), 0, $from);
    }
}
