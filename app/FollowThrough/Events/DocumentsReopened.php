<?php

declare(strict_types=1);

namespace App\FollowThrough\Events;

use App\Ledger\Deed;

/** There is something left to do about documents after all. */
final readonly class DocumentsReopened extends Deed
{
    public const NAME = 'order.documents_reopened';

    /** @param  list<string>  $documents  their numbers */
    public function __construct(string $by, string $of, public array $documents)
    {
        parent::__construct($by, $of);
    }
}
