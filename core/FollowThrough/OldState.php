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

    public function holdsOrder(): bool
    {
        return $this !== self::Seen;
    }
}
