<?php

declare(strict_types=1);

namespace App\Vocabulary\Events;

use App\Ledger\Deed;

/** A site, reason or source is renamed or retired. */
final readonly class ChoiceSet extends Deed
{
    public const NAME = 'choice.set';

    public function __construct(string $by, string $of, public string $name, public bool $retired)
    {
        parent::__construct($by, $of);
    }
}
