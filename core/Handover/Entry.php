<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Content\Subject;

/**
 * One numbered entry of a hand-over, which planning answers by its number: a revision that supersedes another or is the first, or one
 * part of it (for what is gone, as it was).
 */
final readonly class Entry
{
    /** @param  array<string, string|int|null>  $fields  by the names of Document::FIELDS */
    public function __construct(
        public int $number,
        public EntryAction $action,
        public Subject $subject,
        public string $revision,
        public array $fields = [],
    ) {}
}
