<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Index\StructureIndex;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\Multiples;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\StructureKind;

/**
 * Quantities multiply over levels: 500,000 pins in a reel, 500,000 reels in a lot, and nobody can keep the pins of a lot exactly.
 * So that this is met where it is made and not later on somebody else's page: through no item may more than a million million of
 * one component go into one product. What goes in besides, through others, was looked at when those were released; the room that
 * is left beyond this limit is nine times as large.
 */
final readonly class Countable
{
    private const MOST = 1e12;

    /** Nothing stands in a structure deeper than this; a loop would. */
    private const DEEPEST = 100;

    /**
     * Many items at once, as they are in this transaction. What all ways together multiply to is never less than what one of them does:
     * only where that is too much is an item looked at for itself.
     *
     * @param  array<array-key, int>  $items  ids, by number
     *
     * @throws Refusal as check() does, of the first
     */
    public static function checkAll(array $items, Day $day): void
    {
        $index = StructureIndex::open();
        $below = Multiples::below($index->adjacency, $day->number());
        $above = Multiples::above($index->adjacency, $day->number(), $index->positions->pinnedByItem());
        foreach ($items as $number => $id) {
            $position = $index->positions->of($id);
            // What is above is asked only where there is something to multiply.
            if ($below->of($position) > 1.0 && $below->of($position) * $above->of($position) > self::MOST) {
                self::check($id, (string) $number, $day);
            }
        }
    }

    /** @throws Refusal when through the item, as its released structures are on a day, too much of something goes into something */
    private static function check(int $item, string $number, Day $day): void
    {
        $below = self::largest($item, $day, 'r.item_id', 'l.component_id');
        if ($below > 1.0 && $below * self::largest($item, $day, 'l.component_id', 'r.item_id') > self::MOST) {
            throw Refusal::at(
                'edits',
                "Through {$number}, more than a million million of one component would go into one product. Look at its quantities, and at those above it.",
            );
        }
    }

    /**
     * @param  list<int>  $ids
     * @return iterable<\stdClass> a, b and the quantity between them
     */
    private static function lines(array $ids, Day $day, string $from, string $to): iterable
    {
        return DB::cursor(
            "
            SELECT {$from} AS a, {$to} AS b, sum(l.quantity) / 1e6 AS quantity
            FROM structure_lines l JOIN contents r ON r.id = l.content_id
            WHERE {$from} = ANY (?::bigint[]) AND r.kind = ? AND r.status IN ('released', 'superseded') AND r.effective_from <= ? AND (r.effective_to IS NULL OR r.effective_to > ?)
            GROUP BY 1, 2",
            ['{' . implode(',', $ids) . '}', StructureKind::Engineering->value, (string) $day, (string) $day],
        );
    }

    /** The largest total that one of it means for something above, or that something below means for one of it; 1 at least. */
    private static function largest(int $item, Day $day, string $from, string $to): float
    {
        $totals = [];
        $frontier = [$item => 1.0];
        for ($level = 0; $frontier !== [] && $level < self::DEEPEST; $level++) {
            $next = [];
            foreach (self::lines(array_keys($frontier), $day, $from, $to) as $line) {
                $amount = $frontier[$line->a] * (float) $line->quantity;
                $next[$line->b] = ($next[$line->b] ?? 0.0) + $amount;
                $totals[$line->b] = ($totals[$line->b] ?? 0.0) + $amount;
            }
            $frontier = $next;
        }

        return max([1.0, ...array_values($totals)]);
    }
}
