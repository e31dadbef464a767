<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Belonging;

use Orthotaxis\Core\Change\BelongingKind;

/**
 * The decision that something stays as it was found to be. What is found another time is not what was decided on: a drawing that was left
 * at revision F because G only adds a label is open again when H comes.
 */
final readonly class LeftBehind
{
    public function __construct(
        public string $item,
        public BelongingKind $kind,
        public string $number,
        public string $fault,
        public string $reason,
    ) {}
}
