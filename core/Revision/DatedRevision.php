<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Revision;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;

/** A revision with the days it holds, as it was released for them. */
final readonly class DatedRevision
{
    public function __construct(public string $code, public RevisionStatus $status, public Validity $days) {}

    /** @param  ?string  $to  the first day it no longer holds, as it is kept */
    public static function kept(string $code, RevisionStatus $status, ?string $from, ?string $to): self
    {
        return new self($code, $status, new Validity($from === null ? null : Day::parse($from), $to === null ? null : Day::parse($to)));
    }

    public function phase(Day $day): Phase
    {
        return Phase::of($this->status, $this->days, $day);
    }
}
