<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** What becomes of an item that an order names. */
enum Outcome: string
{
    case Revise = 'revise';
    /** Engineering stays as it is; what plants build of it changes. */
    case Build = 'build';
    case Keep = 'keep';
}
