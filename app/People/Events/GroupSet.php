<?php

declare(strict_types=1);

namespace App\People\Events;

use App\Ledger\Deed;

/** A group of people is added, or has another name or other members. */
final readonly class GroupSet extends Deed
{
    public const NAME = 'group.set';

    /** @param  list<string>  $members  sign-in names */
    public function __construct(string $by, string $of, public string $name, public array $members, public bool $retired)
    {
        parent::__construct($by, $of);
    }
}
