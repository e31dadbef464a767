<?php

declare(strict_types=1);

namespace App\People\Events;

use App\Ledger\Deed;

/** Somebody is added, or has another name, address or other roles, or may not sign in any more, or again. */
final readonly class PersonSet extends Deed
{
    public const NAME = 'person.set';

    /** @param  list<string>  $roles  codes */
    public function __construct(string $by, string $of, public string $name, public string $email, public array $roles, public bool $active)
    {
        parent::__construct($by, $of);
    }
}
