<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Models\Content;
use App\Structures\StructureReader;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Manufacturing\OnRecord;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** What plants build, as it is in force on a day, and how it accounts for what engineering declares. */
final readonly class PlantStructures
{
    private const HOLDS = "c.kind = 'manufacturing' AND c.status IN ('released', 'superseded', 'obsolete')
        AND daterange(c.effective_from, c.effective_to) @> of.day";

    /** Engineering has no line in force of the component. */
    private const UNDECLARED = 'NOT EXISTS (SELECT 1 FROM revisions r JOIN structure_lines e ON e.content_id = r.id
        WHERE r.item_id = l.component_id AND r.effective_from IS NOT NULL AND daterange(r.effective_from, r.effective_to) @> of.day)';

    public function __construct(private StructureReader $structures) {}

    /**
     * @param  list<int>  $items  ids
     * @return Collection<int, Content> in force on the day, one a plant, by item and the names of the plants
     */
    public function ofItems(array $items, Day $day): Collection
    {
        return Content::query()
            ->whereIn('item_id', $items)
            ->where('kind', 'manufacturing')
            ->whereIn('status', ['released', 'superseded', 'obsolete'])
            ->whereRaw('daterange(effective_from, effective_to) @> ?::date', [(string) $day])
            ->orderBy('item_id')
            ->orderBy('plant')
            ->get();
    }

    /**
     * How contents account for engineering, asked a fixed number of times.
     *
     * @param  Collection<int, Content>  $contents
     * @param  array<int, Structure>  $engineering  by item
     * @return array<int, Accountability> by content
     *
     * @throws Refusal when a kit contains itself
     */
    public function account(Collection $contents, array $engineering, Day $day): array
    {
        $ids = array_values($contents->map(static fn(Content $one): int => $one->id)->all());
        $lines = $this->structures->ofContents($ids);
        $below = $this->below($ids, $day);
        $records = self::records($ids);
        $accounts = [];
        foreach ($contents as $content) {
            $accounts[$content->id] = Accountability::of(
                $engineering[$content->item_id] ?? new Structure(),
                self::on($lines[$content->id] ?? null, $day),
                $below[$content->plant] ?? [],
                $records[$content->id] ?? [],
            );
        }

        return $accounts;
    }

    /**
     * What is in the kits and other levels below contents that only manufacturing has: that are built at the same plant, and of which
     * engineering declares no structure.
     *
     * @param  list<int>  $contents  ids
     * @return array<string, array<string, list<Line>>> by plant and item
     */
    private function below(array $contents, Day $day): array
    {
        [$holds, $undeclared] = [self::HOLDS, self::UNDECLARED];
        $kits = DB::select(
            "WITH RECURSIVE of AS (SELECT ?::date AS day), kits (id, item_id, plant) AS (
                SELECT c.id, c.item_id, c.plant FROM of, contents top JOIN structure_lines l ON l.content_id = top.id
                    JOIN contents c ON c.item_id = l.component_id AND c.plant = top.plant
                    WHERE top.id = ANY (?::bigint[]) AND {$holds} AND {$undeclared}
                UNION
                SELECT c.id, c.item_id, c.plant FROM of, kits JOIN structure_lines l ON l.content_id = kits.id
                    JOIN contents c ON c.item_id = l.component_id AND c.plant = kits.plant
                    WHERE {$holds} AND {$undeclared}
            )
            SELECT kits.id, kits.plant, i.number FROM kits JOIN items i ON i.id = kits.item_id",
            [(string) $day, '{' . implode(',', $contents) . '}'],
        );
        $lines = $this->structures->ofContents(array_column($kits, 'id'));
        $below = [];
        foreach ($kits as $kit) {
            $below[$kit->plant][$kit->number] = self::on($lines[$kit->id] ?? null, $day);
        }

        return $below;
    }

    /**
     * @param  list<int>  $contents  ids
     * @return array<int, list<OnRecord>> by content
     */
    private static function records(array $contents): array
    {
        $records = [];
        $rows = DB::select(
            'SELECT o.content_id, o.line_key, o.reason, o.new, o.unit, o.old, i.number AS by
            FROM line_records o LEFT JOIN items i ON i.id = o.by_id WHERE o.content_id = ANY (?::bigint[]) ORDER BY o.id',
            ['{' . implode(',', $contents) . '}'],
        );
        foreach ($rows as $row) {
            $records[$row->content_id][] =
                $row->by === null
                    ? OnRecord::leftOut($row->line_key, $row->reason)
                    : OnRecord::replaced(
                        $row->line_key,
                        $row->by,
                        $row->reason,
                        new: Quantity::ofMillionths($row->new),
                        unit: Unit::from($row->unit),
                        old: Quantity::ofMillionths($row->old),
                    );
        }

        return $records;
    }

    /** @return list<Line> */
    private static function on(?Structure $structure, Day $day): array
    {
        return array_values($structure === null ? [] : $structure->on($day)->lines);
    }
}
