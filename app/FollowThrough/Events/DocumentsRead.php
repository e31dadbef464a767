<?php

declare(strict_types=1);

namespace App\FollowThrough\Events;

/** Planning has told what still names what an order replaced. It is no act, and not kept in the ledger. */
final readonly class DocumentsRead
{
    public function __construct(public string $of) {}
}
