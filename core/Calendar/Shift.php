<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Calendar;

use Orthotaxis\Core\Refusal;

/** From when to when a plant works, in minutes after midnight; what ends earlier than it begins ends on the next day. */
final readonly class Shift implements \Stringable
{
    public const DAY = 24 * 60;

    private function __construct(public int $from, public int $to) {}

    /**
     * Reads "06:00-14:00, 14:00-22:00".
     *
     * @return list<self> in the order of their beginning
     *
     * @throws Refusal when one is no time, or two overlap
     */
    public static function parseAll(string $text, string $place = 'shifts'): array
    {
        $shifts = [];
        foreach (array_filter(array_map(trim(...), explode(',', $text)), static fn(string $one): bool => $one !== '') as $one) {
            if (preg_match('/^([01]\d|2[0-3]):([0-5]\d)\s*[-–]\s*([01]\d|2[0-3]):([0-5]\d)$/uD', $one, $m) !== 1) {
                throw Refusal::at($place, "\"{$one}\" is no shift. Write from and to, such as 06:00-14:00.");
            }
            [$from, $to] = [(int) $m[1] * 60 + (int) $m[2], (int) $m[3] * 60 + (int) $m[4]];
            $shifts[] = new self($from, $to <= $from ? $to + self::DAY : $to);
        }
        usort($shifts, static fn(self $a, self $b): int => $a->from <=> $b->from);
        foreach ($shifts as $at => $shift) {
            // The last one may go on into the first of the next day.
            $next = $shifts[$at + 1]->from ?? $shifts[0]->from + self::DAY;
            if ($shift->to > $next) {
                throw Refusal::at($place, "{$shift} overlaps another shift.");
            }
        }

        return $shifts;
    }

    public function minutes(): int
    {
        return $this->to - $this->from;
    }

    public function __toString(): string
    {
        $clock = static fn(int $minutes): string => sprintf('%02d:%02d', intdiv($minutes % self::DAY, 60), $minutes % 60);

        return "{$clock($this->from)}-{$clock($this->to)}";
    }
}
