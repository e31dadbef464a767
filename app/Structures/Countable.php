<?php

declare(strict_types=1);

namespace App\Structures;

use Illuminate\Support\Facades\DB;
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
     * Many items at once. What all ways together multiply to is never less than what one of them does, and is reckoned for all items in one
     * go: only where that is too much is one looked at for itself.
     *
     * @param  array<array-key, int>  $items  ids, by number
     *
     * @throws Refusal as check() does, of the first
     */
    public static function checkAll(array $items, Day $day): void
    {
        $below = self::bounds($items, $day, 'r.item_id', 'l.component_id');
        $above = self::bounds(array_filter($items, static fn(int $id): bool => $below[$id] > 1.0), $day, 'l.component_id', 'r.item_id');
        foreach ($items as $number => $id) {
            if ($below[$id] * ($above[$id] ?? 1.0) > self::MOST) {
                self::check($id, (string) $number, $day);
            }
        }
    }

    /** @throws Refusal when through the item, as its released structures are on a day, too much of something goes into something */
    public static function check(int $item, string $number, Day $day): void
    {
        $below = self::largest($item, $day, 'r.item_id', 'l.component_id');
        // What is above is asked only where there is something to multiply.
        if ($below > 1.0 && $below * self::largest($item, $day, 'l.component_id', 'r.item_id') > self::MOST) {
            throw Refusal::at(
                'edits',
                "Through {$number}, more than a million million of one component would go into one product. Look at its quantities, and at those above it.",
            );
        }
    }

    /**
     * What one of each means in all that is above or below together, itself counted: no single total is larger.
     *
     * @param  array<array-key, int>  $items
     * @return array<int, float> by id
     */
    private static function bounds(array $items, Day $day, string $from, string $to): array
    {
        $edges = [];
        $frontier = array_fill_keys(array_values($items), true);
        for ($level = 0; $frontier !== [] && $level < self::DEEPEST; $level++) {
            $edges += array_fill_keys(array_keys($frontier), []);
            $next = [];
            foreach (self::lines(array_keys($frontier), $day, $from, $to) as $line) {
                $edges[$line->a][$line->b] = (float) $line->quantity;
                if (!isset($edges[$line->b])) {
                    $next[$line->b] = true;
                }
            }
            $frontier = $next;
        }
        $bounds = [];
        foreach ($items as $item) {
            self::bound($item, $edges, $bounds);
        }

        return $bounds;
    }

    /**
     * @param  array<int, array<int, float>>  $edges
     * @param  array<int, float>  $bounds  what is known already; a loop has no bound
     */
    private static function bound(int $item, array $edges, array &$bounds): float
    {
        if (isset($bounds[$item])) {
            return $bounds[$item];
        }
        $bounds[$item] = INF;
        $sum = 1.0;
        foreach ($edges[$item] ?? [] as $next => $quantity) {
            $sum += $quantity * self::bound($next, $edges, $bounds);
        }

        return $bounds[$item] = $sum;
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
