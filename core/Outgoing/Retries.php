<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Outgoing;

/**
 * When what did not arrive is tried again, and when no longer.
 *
 * A receiver that is away, or fails, is asked again after longer and longer pauses: it will be back. One that answers that it does not
 * want the message (a status of the 400s) is not asked again: the same message gets the same answer, and those behind it wait for
 * nothing. Of the 400s, "too slow", "too early" and "too many" (408, 425, 429) say when, not what.
 */
final readonly class Retries
{
    private const LATER = [408, 425, 429];

    /** @param  list<int>  $pauses  seconds after each try in vain */
    public function __construct(private array $pauses) {}

    /**
     * @param  int  $tries  in vain so far, at least one
     * @return ?int seconds to wait; null: it is given up
     */
    public function pauseAfter(int $tries): ?int
    {
        return $this->pauses[$tries - 1] ?? null;
    }

    /** @param  int  $status  of HTTP */
    public static function isRefusal(int $status): bool
    {
        return $status >= 400 && $status < 500 && !in_array($status, self::LATER, true);
    }
}
