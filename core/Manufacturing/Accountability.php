<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/**
 * What manufacturing has taken over of an engineering structure, line by line, and what it has not (calculation 13 of the design).
 *
 * Engineering declares 6 screws at find 30. The plant puts 2 of them in at operation 10, and a kit at operation 20 holds 2 more, twice:
 * 2 + 2 × 2 = 6, taken over in parts. Were the kit called for once, 2 screws would be open, and nobody could say that the design is built.
 *
 * Which engineering line a part stands for, its line says; where it says none, or no line that is there, the part goes to the lines of
 * the same component in the order of their find numbers, each as much as it wants, and what is too much to the last of them. Nothing is
 * rounded: a quantity that is off by its last digit is open.
 */
final readonly class Accountability
{
    /**
     * @param  list<Accounted>  $lines  in the order of the engineering structure
     * @param  list<Share>  $additions  what engineering does not declare
     */
    private function __construct(public array $lines, public array $additions) {}

    /**
     * @param  Structure  $engineering  of the item, as it holds on the day in question
     * @param  list<Line>  $built  of the item at the plant, on the same day
     * @param  array<string, list<Line>>  $below  by item: what is in it at the plant, of items that only manufacturing has
     * @param  list<OnRecord>  $records
     *
     * @throws Refusal when a kit contains itself
     */
    public static function of(Structure $engineering, array $built, array $below = [], array $records = []): self
    {
        // Nothing that is made here refers back to itself: the collector of cycles would look through all of it again and again, in vain.
        $collects = gc_enabled();
        gc_disable();
        try {
            return self::deal($engineering, $built, $below, $records);
        } finally {
            if ($collects) {
                gc_enable();
            }
        }
    }

    /**
     * @param  list<Line>  $built
     * @param  array<string, list<Line>>  $below
     * @param  list<OnRecord>  $records
     */
    private static function deal(Structure $engineering, array $built, array $below, array $records): self
    {
        $recorded = array_column($records, null, 'line');
        $slots = $wanting = $naming = [];
        foreach ($engineering as $key => $line) {
            $slots[$key] = $slot = new Slot($line, $recorded[$key] ?? null);
            $naming[$line->component][] = $slot;
            if ($slot->component !== null) {
                $wanting[$slot->component][] = $slot;
            }
        }
        $additions = $pool = [];
        foreach (Parts::of($built, $below, $naming + $wanting) as $part) {
            $slot = $slots[$part->of->takesOver] ?? null;
            if ($slot !== null && $slot->component === $part->component()) {
                $slot->takeAll($part, $part->quantity);
            } else {
                $pool[] = $part;
            }
        }
        foreach ($pool as $part) {
            $component = $part->component();
            if (isset($wanting[$component])) {
                self::dealOut($part, $wanting[$component]);
            } elseif (isset($naming[$component])) {
                $naming[$component][0]->builtAllTheSame($part);
            } else {
                $additions[] = new Share($part, $part->quantity);
            }
        }

        return new self(array_values(array_map(static fn(Slot $slot): Accounted => $slot->accounted(), $slots)), $additions);
    }

    /** @return list<Accounted> what is not taken over as it should be: empty is the proof that the design is built */
    public function open(): array
    {
        return array_values(array_filter($this->lines, static fn(Accounted $line): bool => $line->account === Account::Open));
    }

    /** @param  non-empty-list<Slot>  $slots  that want the component, in the order of their find numbers */
    private static function dealOut(Part $part, array $slots): void
    {
        $left = $part->quantity;
        foreach ($slots as $slot) {
            if ($left->sign() > 0 && !$slot->isFull()) {
                $left = $slot->take($part, $left);
            }
        }
        if ($left->sign() > 0) {
            $slots[count($slots) - 1]->takeAll($part, $left);
        }
    }
}
