<?php

declare(strict_types=1);

namespace App\FollowThrough\Events;

use App\Ledger\Deed;

/** What is decided about documents that name what an order replaced was handed over to planning. */
final readonly class DocumentsTold extends Deed
{
    public const NAME = 'order.documents_told';

    /** @param  list<string>  $documents  their numbers */
    public function __construct(string $by, string $of, public array $documents, public string $handOver)
    {
        parent::__construct($by, $of);
    }
}
