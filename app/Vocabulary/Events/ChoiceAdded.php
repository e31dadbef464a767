<?php

declare(strict_types=1);

namespace App\Vocabulary\Events;

use App\Ledger\Deed;

/** A site, reason or source is added. */
final readonly class ChoiceAdded extends Deed
{
    public const NAME = 'choice.added';

    public function __construct(string $by, string $of, public string $name)
    {
        parent::__construct($by, $of);
    }
}
