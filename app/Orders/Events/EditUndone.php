<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** The last edit of an item is taken back. */
final readonly class EditUndone extends Deed
{
    public const NAME = 'structure.undone';

    public function __construct(string $by, string $of, public string $item, public int $edit, public string $what)
    {
        parent::__construct($by, $of);
    }
}
