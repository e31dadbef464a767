<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Revision;

use Orthotaxis\Core\Calendar\Day;

/**
 * What holds of an item on a day, and what comes next.
 *
 * F holds until 7 December and G was released for the 8th. Before the 8th the item is at F, in force, with G coming; from the
 * 8th on it is at G. Of an item that was never in force the first coming one is told; of one that ended, the last that held.
 */
final readonly class InForce
{
    /**
     * @param  ?DatedRevision  $shown  the one that stands for the item on the day; null where nothing was ever released
     * @param  ?DatedRevision  $coming  the next that begins after the day
     */
    private function __construct(public Day $day, public ?DatedRevision $shown, public ?DatedRevision $coming) {}

    /** @param  list<DatedRevision>  $revisions  of one item, in any order; no two hold on one day */
    public static function on(Day $day, array $revisions): self
    {
        $holds = $coming = $past = null;
        foreach ($revisions as $one) {
            match ($one->phase($day)) {
                Phase::InForce => ($holds = $one),
                Phase::Coming => ($coming = self::begins($one) < self::begins($coming) || $coming === null ? $one : $coming),
                Phase::Superseded, Phase::Obsolete => ($past = $past === null || self::begins($one) > self::begins($past) ? $one : $past),
                default => null,
            };
        }

        return new self($day, $holds ?? ($coming ?? $past), $coming);
    }

    /** What the item is on the day: in work where nothing of it was ever released. */
    public function phase(): Phase
    {
        return $this->shown?->phase($this->day) ?? Phase::InWork;
    }

    private static function begins(?DatedRevision $revision): string
    {
        return (string) $revision?->days->from;
    }
}
