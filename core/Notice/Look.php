<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Notice;

/**
 * How far somebody has seen what is done to a change. Whoever comes back within half an hour goes on with the same visit: what was new when
 * it began stays marked as new, also when the page is loaded again.
 *
 * Example: Mira looks at nine and sees 40 acts. At noon there are 46: six are new. At ten past twelve she loads the page again, with 47 by
 * then: seven are new. In the evening nothing has been added: nothing is.
 */
final readonly class Look
{
    /** Seconds after which coming back is another visit. */
    public const VISIT = 1800;

    /**
     * @param  int  $seen  number of the last act that was seen before this visit
     * @param  int  $latest  number of the last act that was there when they looked last
     * @param  int  $at  when they looked last, in seconds
     * @param  ?int  $since  when the visit before this one ended; null: there was none
     */
    public function __construct(public int $seen, public int $latest, public int $at, public ?int $since) {}

    /** Nothing is new to whoever has never looked. */
    public static function first(int $newest, int $at): self
    {
        return new self($newest, $newest, $at, null);
    }

    public function again(int $newest, int $at): self
    {
        return $at - $this->at > self::VISIT
            ? new self($this->latest, $newest, $at, $this->at)
            : new self($this->seen, $newest, $at, $this->since);
    }
}
