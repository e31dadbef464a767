<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

/** Find numbers for new lines of a structure: each the next that is free. */
final class FreeFinds
{
    /** @param  array<int, true>  $taken */
    private function __construct(private array $taken) {}

    public static function in(Structure $structure): self
    {
        $taken = [];
        foreach ($structure as $line) {
            $taken[$line->find] = true;
        }

        return new self($taken);
    }

    public function from(int $find): int
    {
        while (isset($this->taken[$find])) {
            $find++;
        }
        $this->taken[$find] = true;

        return $find;
    }
}
