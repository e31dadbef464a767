<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Calendar;

use Orthotaxis\Core\Refusal;

/** The days something holds: from the first day on, up to but not including the day it ends. Null is without limit. */
final readonly class Validity
{
    public function __construct(public ?Day $from = null, public ?Day $to = null)
    {
        if ($from !== null && $to !== null && !$from->isBefore($to)) {
            throw Refusal::at('validity', "Ends on {$to}, which is not after its first day {$from}.");
        }
    }

    public static function always(): self
    {
        return new self();
    }

    /** From the first day to the last, both included, as people say it. */
    public static function fromTo(?Day $first, ?Day $last): self
    {
        return new self($first, $last?->plusDays(1));
    }

    public function lastDay(): ?Day
    {
        return $this->to?->plusDays(-1);
    }

    public function holdsOn(Day $day): bool
    {
        return ($this->from === null || !$day->isBefore($this->from)) && ($this->to === null || $day->isBefore($this->to));
    }

    public function overlaps(self $other): bool
    {
        return ($this->from === null || $other->to === null || $this->from->isBefore($other->to)) &&
            ($other->from === null || $this->to === null || $other->from->isBefore($this->to));
    }
}
