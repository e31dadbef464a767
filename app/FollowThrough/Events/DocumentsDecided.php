<?php

declare(strict_types=1);

namespace App\FollowThrough\Events;

use App\Ledger\Deed;

/** What is done about documents that name what an order replaced. */
final readonly class DocumentsDecided extends Deed
{
    public const NAME = 'order.documents_decided';

    /** @param  list<string>  $documents  their numbers */
    public function __construct(
        string $by,
        string $of,
        public array $documents,
        public ?string $way,
        public ?string $owner,
        public ?string $due,
        public ?string $note,
    ) {
        parent::__construct($by, $of);
    }
}
