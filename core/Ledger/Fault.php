<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Ledger;

final readonly class Fault
{
    /** @param  string  $what altered, removed, inserted or out of chain */
    public function __construct(public int $number, public string $what) {}
}
