<?php

declare(strict_types=1);

namespace App\Structures;

use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/** Brings many lines from the database to core at once, without a model for each. */
final readonly class LineLoader
{
    /** One for all lines that always hold: nearly all do. */
    private Validity $always;

    public function __construct()
    {
        $this->always = Validity::always();
    }

    private const COLUMNS = 'l.id, l.line_key, l.find, c.number AS component, l.quantity, l.unit, l.designators, l.notes, l.operation,
        l.not_modelled, l.phantom, l.valid_from, l.valid_to, l.scrap, l.takes_over, l.by_product,
        CASE WHEN l.pinned_id IS NOT NULL THEN (SELECT p.code FROM revisions p WHERE p.id = l.pinned_id) END AS revision';

    /**
     * @param  list<int>  $ids
     * @return array<int, Line> by id
     */
    public function byId(array $ids): array
    {
        $lines = [];
        foreach (
            DB::select(
                'SELECT ' .
                    self::COLUMNS .
                    ' FROM unnest(?::bigint[]) AS wanted (id) JOIN structure_lines l USING (id) JOIN items c ON c.id = l.component_id',
                [self::list($ids)],
            )
            as $row
        ) {
            $lines[$row->id] = $this->line($row);
        }

        return $lines;
    }

    /**
     * @param  list<int>  $contents  ids
     * @return array<int, list<Line>> by content
     */
    public function ofContents(array $contents): array
    {
        return $this->by(
            'SELECT ' .
                self::COLUMNS .
                ', l.content_id AS by FROM structure_lines l JOIN items c ON c.id = l.component_id WHERE l.content_id = ANY (?::bigint[])',
            $contents,
        );
    }

    /**
     * Only the lines of some components.
     *
     * @param  list<int>  $contents  ids
     * @param  list<int>  $components  ids
     * @return array<int, list<Line>> by content
     */
    public function ofComponents(array $contents, array $components): array
    {
        return $this->by(
            'SELECT ' .
                self::COLUMNS .
                ', l.content_id AS by FROM structure_lines l JOIN items c ON c.id = l.component_id
                WHERE l.component_id IN (' .
                implode(',', array_map(intval(...), $components)) .
                ') AND l.content_id = ANY (?::bigint[])',
            $contents,
        );
    }

    /**
     * Only what comes out.
     *
     * @param  list<int>  $contents  ids
     * @return array<int, list<Line>> by content
     */
    public function byProductsOf(array $contents): array
    {
        return $this->by(
            'SELECT ' .
                self::COLUMNS .
                ', l.content_id AS by FROM structure_lines l JOIN items c ON c.id = l.component_id
                WHERE l.by_product AND l.content_id = ANY (?::bigint[])',
            $contents,
        );
    }

    /**
     * @param  list<int>  $revisions  ids
     * @return array<int, list<Line>> by revision
     */
    public function ofRevisions(array $revisions, StructureView $view): array
    {
        return $this->by(
            'SELECT ' .
                self::COLUMNS .
                ", r.id AS by FROM contents r JOIN contents of ON {$view->contentsOfRevision()}
                JOIN structure_lines l ON l.content_id = of.id JOIN items c ON c.id = l.component_id WHERE r.id = ANY (?::bigint[])",
            $revisions,
        );
    }

    /**
     * Of what holds of each item on a day, as the view shows it. Plants release what they build apart from engineering: a revision of
     * theirs may begin in the middle of one of the item.
     *
     * @param  list<int>  $items  ids
     * @return array<int, list<Line>> by item
     */
    public function ofItemsOn(array $items, StructureView $view, Day $day): array
    {
        return $this->by(
            'SELECT ' .
                self::COLUMNS .
                ", of.item_id AS by FROM contents of JOIN structure_lines l ON l.content_id = of.id JOIN items c ON c.id = l.component_id
                WHERE of.item_id = ANY (?::bigint[]) AND {$view->contents()} AND of.status IN ('released', 'superseded', 'obsolete')
                    AND daterange(of.effective_from, of.effective_to) @> DATE '{$day}'",
            $items,
        );
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, list<Line>>
     */
    private function by(string $sql, array $ids): array
    {
        $lines = [];
        foreach (DB::select($sql, [self::list($ids)]) as $row) {
            $lines[$row->by][] = $this->line($row);
        }

        return $lines;
    }

    /** @param  list<string>  $texts  as LineTexts keeps them: of what goes in */
    public function ofTexts(array $texts): Line
    {
        [
            $key,
            $find,
            $component,
            $quantity,
            $unit,
            $designators,
            $notes,
            $operation,
            $notModelled,
            $phantom,
            $from,
            $to,
            $revision,
            $scrap,
            $takesOver,
        ] = $texts;

        return new Line(
            key: $key,
            find: (int) $find,
            component: $component,
            quantity: Quantity::ofMillionths((int) $quantity),
            unit: Unit::from($unit),
            designators: $designators,
            notes: $notes,
            operation: $operation === '' ? null : (int) $operation,
            notModelled: $notModelled === 't',
            validity: $from === '' && $to === ''
                ? $this->always
                : new Validity($from === '' ? null : Day::parse($from), $to === '' ? null : Day::parse($to)),
            phantom: $phantom === 't',
            revision: $revision === '' ? null : $revision,
            scrap: (int) $scrap,
            takesOver: $takesOver,
        );
    }

    /** @param  list<int>  $ids */
    private static function list(array $ids): string
    {
        return '{' . implode(',', $ids) . '}';
    }

    private function line(\stdClass $row): Line
    {
        return new Line(
            key: $row->line_key,
            find: $row->find,
            component: $row->component,
            quantity: Quantity::ofMillionths($row->quantity),
            unit: Unit::from($row->unit),
            designators: $row->designators,
            notes: $row->notes,
            operation: $row->operation,
            notModelled: $row->not_modelled,
            validity: $row->valid_from === null && $row->valid_to === null
                ? $this->always
                : new Validity(
                    $row->valid_from === null ? null : Day::parse($row->valid_from),
                    $row->valid_to === null ? null : Day::parse($row->valid_to),
                ),
            phantom: $row->phantom,
            revision: $row->revision,
            scrap: $row->scrap,
            takesOver: $row->takes_over ?? '',
            byProduct: $row->by_product,
        );
    }
}
