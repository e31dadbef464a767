<?php

declare(strict_types=1);

namespace App\People\Data;

/** What a role is to be. */
final readonly class RoleWishes
{
    /**
     * @param  list<string>  $abilities
     * @param  list<string>  $plants  codes; empty: all
     * @param  list<string>  $categories  codes; empty: all
     */
    public function __construct(
        public string $name,
        public array $abilities,
        public array $plants,
        public array $categories,
        public bool $secondFactor,
        public bool $retired,
    ) {}
}
