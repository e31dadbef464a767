<?php

declare(strict_types=1);

namespace App\SignIn\Events;

use App\Ledger\Deed;

/** Somebody signs in with a second factor from now on, or no longer. */
final readonly class SecondFactorSet extends Deed
{
    public const NAME = 'person.second_factor_set';

    public function __construct(string $by, string $of, public bool $on)
    {
        parent::__construct($by, $of);
    }
}
