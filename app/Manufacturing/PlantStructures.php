<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Models\Content;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** What plants build, as it is in force on a day, and how it accounts for what engineering declares. */
final readonly class PlantStructures
{
    private const HOLDS = "c.kind = 'manufacturing' AND c.status IN ('released', 'superseded', 'obsolete')
        AND daterange(c.effective_from, c.effective_to) @> of.day";

    /** Engineering has no line in force of the item. */
    private const UNDECLARED = 'NOT EXISTS (SELECT 1 FROM revisions r JOIN structure_lines e ON e.content_id = r.id
        WHERE r.item_id = used.item_id AND r.effective_from IS NOT NULL AND daterange(r.effective_from, r.effective_to) @> of.day)';

    public function __construct(private StructureReader $structures, private ManufacturingContents $contents) {}

    /**
     * Asked a fixed number of times.
     *
     * @param  Collection<int, Item>  $items
     * @param  array<int, Structure>  $engineering  by item
     * @return list<BuiltAt> in force on the day, by item and the names of the plants
     */
    public function inForce(Collection $items, array $engineering, Day $day): array
    {
        $items = $items->keyBy('id');
        $records = Content::query()
            ->whereIn('item_id', $items->keys())
            ->where('kind', ManufacturingContents::NAME)
            ->whereIn('status', ['released', 'superseded', 'obsolete'])
            ->whereRaw('daterange(effective_from, effective_to) @> ?::date', [(string) $day])
            ->orderBy('item_id')
            ->orderBy('plant')
            ->get();
        if ($records->isEmpty()) {
            return [];
        }
        $contents = $this->contents->read(array_values($records->map(static fn(Content $one): int => $one->id)->all()));

        return array_values(
            $records
                ->map(
                    static fn(Content $record): BuiltAt => new BuiltAt(
                        item: $items[$record->item_id],
                        plant: $record->plant,
                        engineering: $engineering[$record->item_id] ?? new Structure(),
                        content: $contents[$record->id]->on($day),
                        released: $record,
                    ),
                )
                ->all(),
        );
    }

    /**
     * How each accounts for engineering, asked a fixed number of times.
     *
     * @param  list<BuiltAt>  $built
     * @param  list<BuiltAt>  $coming  what an order makes of the same and of others: kits among them are taken as they will be
     * @return list<Accountability> in the same order
     *
     * @throws Refusal when a kit contains itself
     */
    public function account(array $built, Day $day, array $coming = []): array
    {
        $all = [...$built, ...$coming];
        $below = $this->below($all, $day);
        foreach ($all as $one) {
            // Of a kit engineering declares nothing; what has no lines is none, unless it had some.
            $isKit = count($one->content->structure) > 0 || isset($below[$one->plant][$one->item->number]);
            if ($isKit && count($one->engineering) === 0) {
                $below[$one->plant][$one->item->number] = array_values($one->content->structure->lines);
            }
        }

        return array_map(
            static fn(BuiltAt $one): Accountability => Accountability::of(
                $one->engineering,
                array_values($one->content->structure->lines),
                $below[$one->plant] ?? [],
                array_values($one->content->records),
            ),
            $built,
        );
    }

    /**
     * What is in the kits and other levels that only manufacturing has: that are built at the same plant, and of which engineering
     * declares no structure.
     *
     * @param  list<BuiltAt>  $built
     * @return array<string, array<string, list<Line>>> by plant and item
     */
    private function below(array $built, Day $day): array
    {
        $tops = [];
        foreach ($built as $one) {
            foreach ($one->content->structure->components() as $component) {
                $tops["{$one->plant} {$component}"] = ['plant' => $one->plant, 'component' => $component];
            }
        }
        if ($tops === []) {
            return [];
        }
        [$holds, $undeclared] = [self::HOLDS, self::UNDECLARED];
        $kits = DB::select(
            "WITH RECURSIVE of AS (SELECT ?::date AS day), used (plant, item_id) AS (
                SELECT t.plant, i.id FROM jsonb_to_recordset(?::jsonb) AS t (plant text, component text) JOIN items i ON i.number = t.component
                UNION
                SELECT used.plant, l.component_id FROM of, used JOIN contents c ON c.item_id = used.item_id AND c.plant = used.plant
                    JOIN structure_lines l ON l.content_id = c.id WHERE {$holds} AND {$undeclared}
            )
            SELECT c.id, c.plant, i.number FROM of, used JOIN contents c ON c.item_id = used.item_id AND c.plant = used.plant
                JOIN items i ON i.id = c.item_id WHERE {$holds} AND {$undeclared}",
            [(string) $day, json_encode(array_values($tops), JSON_THROW_ON_ERROR)],
        );
        $lines = $this->structures->ofContents(array_column($kits, 'id'));
        $below = [];
        foreach ($kits as $kit) {
            $below[$kit->plant][$kit->number] = array_values(($lines[$kit->id] ?? new Structure())->on($day)->lines);
        }

        return $below;
    }
}
