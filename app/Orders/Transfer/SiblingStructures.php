<?php

declare(strict_types=1);

namespace App\Orders\Transfer;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\Orders\WorkContents;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Structure;

/** The lines of structures as an order has them, or as they are released where it does nothing to them yet. */
final readonly class SiblingStructures
{
    public function __construct(private StructureReader $structures, private WorkContents $works) {}

    /**
     * @param  list<Way>  $ways
     * @return array<string, Structure> of the targets, by key
     *
     * @throws Refusal at to, where there is no such structure
     */
    public function of(ChangeOrder $into, array $ways): array
    {
        $numbers = array_values(array_unique(array_map(static fn(Way $way): string => $way->target->item, $ways)));
        $items = Item::query()->whereIn('number', $numbers)->pluck('id', 'number')->all();
        $contents = Content::query()
            ->where('status', RevisionStatus::Released)
            ->whereIn('item_id', array_values($items))
            ->get(['id', 'item_id', 'kind', 'plant'])
            ->keyBy(static fn(Content $content): string => "{$content->item_id} {$content->kind} {$content->plant}");
        $works = $this->worksOn($into, array_values($items));
        $after = $this->works->afterAll(array_values($works));
        $bases = $found = [];
        foreach ($ways as $way) {
            $target = $way->target;
            $id = $items[$target->item] ?? throw Refusal::at('to', "There is no item {$target->item}.");
            $key = "{$id} {$target->kind} {$target->plant}";
            $content = isset($works[$key]) ? $after[$works[$key]->id] : null;
            if ($content instanceof HasLines) {
                $found[$target->key()] = $content->lines();
            } elseif (isset($contents[$key])) {
                $bases[$target->key()] = $contents[$key]->id;
            } else {
                throw Refusal::at(
                    'to',
                    $target->kind === Subject::ENGINEERING
                        ? "{$target->item} has no released structure."
                        : "{$target->item} is not built at {$target->plant}.",
                );
            }
        }
        $read = $this->structures->ofContents(array_values(array_unique($bases)));
        foreach ($bases as $key => $base) {
            $found[$key] = $read[$base] ?? new Structure();
        }

        return $found;
    }

    /**
     * @param  list<int>  $items  ids
     * @return array<string, WorkRecord> that is edited, by item, kind and plant
     */
    private function worksOn(ChangeOrder $order, array $items): array
    {
        $works = [];
        foreach (
            $order
                ->items()
                ->with(['works.edits', 'item'])
                ->whereIn('item_id', $items)
                ->get()
            as $row
        ) {
            foreach ($row->works as $work) {
                if ($work->kind !== Subject::ITEM_DATA && $work->holding()->isNotEmpty()) {
                    $works["{$row->item_id} {$work->kind} {$work->plant}"] = $work->setRelation('row', $row);
                }
            }
        }

        return $works;
    }

    /**
     * Those that share the most components with an item, the most alike first.
     *
     * @param  list<int>  $items  ids
     * @return array<int, list<string>> numbers by item
     */
    public static function alike(array $items): array
    {
        $alike = [];
        foreach (
            DB::select(
                "
                WITH used AS (
                    SELECT DISTINCT c.item_id, l.component_id FROM contents c JOIN structure_lines l ON l.content_id = c.id
                    WHERE c.kind = 'engineering' AND c.status = 'released'),
                mine AS (SELECT * FROM used WHERE item_id = ANY (?::bigint[])),
                shared AS (
                    SELECT mine.item_id, other.item_id AS sibling, count(*) AS alike
                    FROM mine JOIN used other ON other.component_id = mine.component_id AND other.item_id <> mine.item_id GROUP BY 1, 2),
                ranked AS (
                    SELECT s.*, row_number() OVER (PARTITION BY s.item_id ORDER BY s.alike DESC, s.sibling) AS place,
                        (SELECT count(*) FROM mine WHERE mine.item_id = s.item_id) AS own FROM shared s)
                SELECT r.item_id, i.number FROM ranked r JOIN items i ON i.id = r.sibling
                WHERE r.place <= 6 AND r.alike * 3 >= r.own ORDER BY r.item_id, r.place",
                ['{' . implode(',', $items) . '}'],
            )
            as $row
        ) {
            $alike[$row->item_id][] = $row->number;
        }

        return $alike;
    }
}
