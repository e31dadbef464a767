<?php

declare(strict_types=1);

namespace App\People\Events;

use App\Ledger\Deed;

/** A role is added, or allows something else, or elsewhere. */
final readonly class RoleSet extends Deed
{
    public const NAME = 'role.set';

    /**
     * @param  list<string>  $abilities
     * @param  list<string>  $plants  codes; empty: all
     * @param  list<string>  $categories  codes; empty: all
     */
    public function __construct(
        string $by,
        string $of,
        public string $name,
        public array $abilities,
        public array $plants,
        public array $categories,
        public bool $secondFactor,
        public bool $retired,
    ) {
        parent::__construct($by, $of);
    }
}
