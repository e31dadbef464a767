<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** An edit that was taken back is made again. */
final readonly class EditRedone extends Deed
{
    public const NAME = 'structure.redone';

    public function __construct(string $by, string $of, public string $item, public int $edit, public string $what)
    {
        parent::__construct($by, $of);
    }
}
