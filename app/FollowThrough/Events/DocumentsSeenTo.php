<?php

declare(strict_types=1);

namespace App\FollowThrough\Events;

use App\Ledger\Deed;

/** Nothing is left to do about documents that name what an order replaced. */
final readonly class DocumentsSeenTo extends Deed
{
    public const NAME = 'order.documents_seen_to';

    /** @param  list<string>  $documents  their numbers */
    public function __construct(string $by, string $of, public array $documents, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
