<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

/** What is so of a change. */
final readonly class Facts
{
    /** @param  array<string, list<string>>  $values  by fact; an amount that nobody knows is no value */
    public function __construct(private array $values = []) {}

    /** @return list<string> */
    public function of(Fact $fact): array
    {
        return $this->values[$fact->value] ?? [];
    }
}
