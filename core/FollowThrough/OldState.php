<?php

declare(strict_types=1);

namespace Orthotaxis\Core\FollowThrough;

/** How far it has come with something that still names what an order replaced. */
enum OldState: string
{
    /** Nobody has decided what is done about it. */
    case Open = 'open';

    /** It is decided, and planning still tells of it. */
    case Decided = 'decided';

    /** Planning does not tell of it any more, or a person has said why nothing is left to do. */
    case Seen = 'seen';

    /** In which order they are listed, and kept: what needs somebody first. */
    public function rank(): int
    {
        return match ($this) {
            self::Open => 0,
            self::Decided => 1,
            self::Seen => 2,
        };
    }

    public function holdsOrder(): bool
    {
        return $this !== self::Seen;
    }
}
