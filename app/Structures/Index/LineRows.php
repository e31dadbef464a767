<?php

declare(strict_types=1);

namespace App\Structures\Index;

use App\Structures\StructureView;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;

/**
 * The lines of released structures as the index keeps them. The identity of a line and the digest of all that it says are
 * 64-bit hashes, so that two lines are compared without reading either. A quantity is what is used up, with what is lost on the way;
 * by-products are not used up, and nothing is made of them: they stand beside (see byProducts).
 *
 * Parents and components are nodes: an item, or one revision of it (see PinnedNode).
 *
 * @phpstan-type Row array{parent: int, line: int, component: int, item: int, quantity: int, span: int, identity: int, digest: int,
 *     text: string}
 */
final readonly class LineRows
{
    private const AT_ONCE = 20_000;

    /** The lines of single revisions, whatever the day. */
    private const OF_REVISIONS =
        'SELECT ' .
        PinnedNode::BASE .
        " + r.id AS parent,
            l.valid_from - DATE '1970-01-01' AS first_day, l.valid_to - DATE '1970-01-01' AS end_day,";

    private const COLUMNS =
        '
            l.id AS line, coalesce(l.pinned_id + ' .
        PinnedNode::BASE .
        ", l.component_id) AS component, l.component_id AS item,
            CASE WHEN l.scrap = 0 THEN l.quantity ELSE round(l.quantity::numeric * (1000000 + l.scrap) / 1000000)::bigint END AS quantity,
            l.unit, c.unit AS item_unit, l.phantom,
            uuid_hash_extended(l.line_key, 0) AS identity,
            hashtextextended(concat_ws(chr(31), l.find, l.component_id, l.quantity, l.unit, l.designators, l.notes, coalesce(l.operation::text, '-'),
                l.not_modelled, l.phantom, coalesce(l.valid_from::text, '-'), coalesce(l.valid_to::text, '-'), l.pinned_id,
                nullif(l.scrap, 0), l.takes_over, nullif(l.by_product, false)), 0) AS digest
        FROM structure_lines l JOIN items c ON c.id = l.component_id JOIN contents of ON of.id = l.content_id ";

    private const RELEASED = " of.status IN ('released', 'superseded', 'obsolete') AND NOT l.by_product";

    /**
     * All of a kind, a block at a time: to be called in a transaction.
     *
     * @return \Generator<int, Row>
     */
    public function all(StructureView $view): \Generator
    {
        $text = LineTexts::SQL . ' AS text,';
        yield from self::each(self::linesOfItems($view) . $text . self::ofItems($view));
        yield from self::each(
            self::OF_REVISIONS .
                $text .
                self::ofPinned(
                    $view,
                    "r.id IN (SELECT l.pinned_id FROM structure_lines l JOIN contents of ON of.id = l.content_id
                        WHERE l.pinned_id IS NOT NULL AND {$view->contents()})",
                ),
        );
    }

    /** @return \Generator<int, Row> */
    private static function each(string $sql): \Generator
    {
        DB::statement('DECLARE lines_of_index NO SCROLL CURSOR FOR ' . $sql);
        do {
            $rows = DB::select('FETCH ' . self::AT_ONCE . ' FROM lines_of_index');
            foreach ($rows as $row) {
                $line = self::read($row);
                if ($line !== null) {
                    yield $line;
                }
            }
        } while (count($rows) === self::AT_ONCE);
        DB::statement('CLOSE lines_of_index');
    }

    /**
     * @param  list<int>  $items  ids of parents
     * @return list<Row>
     */
    public function of(array $items, StructureView $view): array
    {
        return self::some(self::linesOfItems($view) . self::ofItems($view, 'of.item_id = ANY (?::bigint[])'), $items);
    }

    /**
     * @param  list<int>  $revisions  ids
     * @return list<Row>
     */
    public function ofRevisions(array $revisions, StructureView $view): array
    {
        return self::some(self::OF_REVISIONS . self::ofPinned($view, 'r.id = ANY (?::bigint[])'), $revisions);
    }

    /**
     * What comes out beside the items of a kind, on whatever day.
     *
     * @return list<Row>
     */
    public function byProducts(StructureView $view): array
    {
        $rows = DB::select(
            self::linesOfItems($view) .
                self::COLUMNS .
                "WHERE of.status IN ('released', 'superseded', 'obsolete') AND l.by_product AND {$view->contents()} ORDER BY of.item_id, l.id",
        );

        return array_values(array_filter(array_map(self::read(...), $rows)));
    }

    /** The lines of items, on the days on which their revisions apply. */
    private static function linesOfItems(StructureView $view): string
    {
        return "SELECT of.item_id AS parent,
            GREATEST(of.effective_from, l.valid_from) - DATE '1970-01-01' AS first_day,
            LEAST(of.effective_to, l.valid_to, {$view->givesWay()}) - DATE '1970-01-01' AS end_day,";
    }

    private static function ofItems(StructureView $view, string $some = 'true'): string
    {
        return self::COLUMNS . 'WHERE' . self::RELEASED . " AND {$view->contents()} AND {$some} ORDER BY of.item_id, l.find, l.id";
    }

    private static function ofPinned(StructureView $view, string $some): string
    {
        return self::COLUMNS .
            "JOIN contents r ON {$view->contentsOfRevision()} WHERE" .
            self::RELEASED .
            " AND {$some} ORDER BY r.id, l.find, l.id";
    }

    /**
     * @param  list<int>  $ids
     * @return list<Row>
     */
    private static function some(string $sql, array $ids): array
    {
        return array_values(array_filter(array_map(self::read(...), DB::select($sql, ['{' . implode(',', $ids) . '}']))));
    }

    /** @return Row|null null for a line that holds on no day */
    private static function read(\stdClass $row): ?array
    {
        if ($row->end_day !== null && $row->first_day !== null && $row->first_day >= $row->end_day) {
            return null;
        }
        $quantity =
            $row->unit === $row->item_unit
                ? $row->quantity
                : Unit::from($row->unit)->convert(Quantity::ofMillionths($row->quantity), Unit::from($row->item_unit))->millionths;

        return [
            'parent' => $row->parent,
            'line' => $row->line,
            'component' => $row->component,
            'item' => $row->item,
            'quantity' => $quantity,
            'span' => Span::of($row->first_day, $row->end_day, $row->phantom),
            'identity' => $row->identity,
            'digest' => $row->digest,
            'text' => $row->text ?? '',
        ];
    }
}
