<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Structure\Line;

/**
 * One numbered entry of a hand-over, which planning answers by its number: a revision that supersedes another or is the first, or one
 * line of its structure (for a removed line the line as it was).
 */
final readonly class Entry
{
    public function __construct(
        public int $number,
        public EntryAction $action,
        public string $item,
        public string $revision,
        public ?string $supersedes = null,
        public ?Line $line = null,
        public ?string $replaces = null,
        public ?string $disposition = null,
        public ?IntroducedItem $introduced = null,
    ) {}
}
