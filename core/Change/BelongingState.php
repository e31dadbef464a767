<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** What is to become of something that belongs to an item on an order. */
enum BelongingState: string
{
    /** It is not as it has to be, and nobody has decided. */
    case Open = 'open';

    /** It gets a revision of its own under the same order. */
    case Along = 'along';

    /** It is good for the coming revision as it is, and shows that from the release on. */
    case Adopts = 'adopts';

    /** It stays as it is, and somebody has said why. */
    case Left = 'left';
}
