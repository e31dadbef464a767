<?php

declare(strict_types=1);

namespace App\Ledger;

/**
 * Something that somebody did, as a plain value. It is told while the transaction of the act is open; the ledger listens, and whoever
 * else has to know.
 */
interface Act
{
    /** Who did it: a sign-in name, or the name of a system. */
    public function by(): string;

    /** The number of what it was done to. */
    public function of(): string;

    /** What was done, as the ledger keeps it: order.released. */
    public function name(): string;

    /** @return array<string, mixed> what the ledger keeps of it besides */
    public function details(): array;
}
