<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Transfer;

use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Structure\Line;

/** One edit, as it would be made to a sibling structure. */
final readonly class Carried
{
    /**
     * @param  Difference  $of  what was done where it was made
     * @param  string  $reason  why it does not simply fit, in words; empty: it does
     * @param  ?LineEdit  $edit  to the sibling; null where there is nothing to do, or nothing to do it to
     * @param  ?Line  $there  the line of the sibling that it is made to; null: a new one, or none
     */
    public function __construct(
        public Difference $of,
        public Fit $fit,
        public string $reason = '',
        public ?LineEdit $edit = null,
        public ?Line $there = null,
    ) {}

    /** By which it is decided about: the line where the edit was made. */
    public function key(): string
    {
        return ($this->of->before ?? $this->of->after)->key ?? '';
    }
}
