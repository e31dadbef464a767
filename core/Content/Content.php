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

    /**
     * What would have to be done so that it reads like another: apply(editsTo(b), a) = b.
     *
     * @param  self  $wanted  of the same kind
     * @param  ?list<string>  $parts  those that are asked about, what would have to be done to others may be left out; null: all
     * @return list<Edit>
     */
    public function editsTo(self $wanted, ?array $parts = null): array;

    /**
     * Parts that another calls otherwise: what was taken out there and came back is the same.
     *
     * @param  self  $newer  of the same kind
     * @return array<string, string> key there, by key here
     */
    public function renamedIn(self $newer): array;

    /** A part of it as people call it, by its key: "line 50 200-0040". */
    public function called(string $part): string;

    /** @return array<string, string> all that a part of it says, by field as typed; empty where there is no such part */
    public function says(string $part): array;

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
