<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Content\Subject;

/** What becomes of an item that an order names. */
enum Outcome: string
{
    case Revise = 'revise';
    /** Engineering stays as it is; what plants build of it changes. */
    case Build = 'build';
    /** Only what is known of it changes: cost, lead time, supply, or that it is retired. */
    case Data = 'data';
    case Keep = 'keep';

    /** @param  string  $kind  of a subject of the item */
    public function mayChange(string $kind): bool
    {
        return match ($this) {
            self::Revise => true,
            self::Build => $kind !== Subject::ENGINEERING,
            self::Data => $kind === Subject::ITEM_DATA,
            self::Keep => false,
        };
    }
}
