<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** Many lines were edited at once. What they are stands with the order and is never deleted; their hash shows that it stayed as it was. */
final readonly class LinesEdited extends Deed
{
    public const NAME = 'structure.edited_together';

    public function __construct(
        string $by,
        string $of,
        public string $item,
        public int $edits,
        public int $first,
        public int $last,
        public string $sha256,
    ) {
        parent::__construct($by, $of);
    }
}
