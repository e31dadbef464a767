<?php

declare(strict_types=1);

namespace App\Releases\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Content\Subject;

/** A content of an item is released. */
final readonly class RevisionReleased extends Deed
{
    public const NAME = 'revision.released';

    public function __construct(
        string $by,
        string $of,
        public string $revision,
        public ?string $supersedes,
        public string $order,
        public string $effectiveFrom,
        public string $kind,
        public string $plant,
    ) {
        parent::__construct($by, $of);
    }

    /** What engineering declares is the revision of the item itself: it needs no name. */
    public function details(): array
    {
        $details = parent::details();

        return $this->kind === Subject::ENGINEERING ? array_diff_key($details, ['kind' => true, 'plant' => true]) : $details;
    }
}
