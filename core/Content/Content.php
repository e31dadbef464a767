<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** All that a revision of a subject says. A value: nothing of it is changed, an edit gives another. */
interface Content
{
    /**
     * @param  iterable<Edit>  $edits  in the order they were made
     *
     * @throws Refusal of the first edit that does not fit
     */
    public function edited(iterable $edits): static;

    /** @return list<string> why it cannot be released as it is, in words */
    public function faults(): array;

    /** @param  self  $before  of the same kind */
    public function since(self $before): Changes;

    /** What of it holds on a day. */
    public function on(Day $day): static;

    /**
     * All of it as planning is told, with what differs from the revision before.
     *
     * @param  self  $before  of the same kind
     * @return list<HandedPart>
     */
    public function handedOver(self $before): array;

    /** @return array<mixed> all that it says, by which a signature knows it: the same gives the same, anything else something else */
    public function told(): array;
}
