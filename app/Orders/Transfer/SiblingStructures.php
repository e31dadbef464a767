<?php

declare(strict_types=1);

namespace App\Orders\Transfer;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
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
    /** Those with which an item shares a third of its components at least. */
    private const ALIKE = "
        WITH mine AS (
            SELECT DISTINCT c.item_id, l.component_id FROM items i JOIN contents c ON c.item_id = i.id JOIN structure_lines l ON l.content_id = c.id
            WHERE i.number IN (SELECT jsonb_array_elements_text(?::jsonb)) AND c.kind = 'engineering' AND c.status = 'released'),
        shared AS (
            SELECT mine.item_id, c.item_id AS sibling, count(DISTINCT l.component_id) AS alike
            FROM mine JOIN structure_lines l ON l.component_id = mine.component_id JOIN contents c ON c.id = l.content_id
            WHERE c.kind = 'engineering' AND c.status = 'released' AND c.item_id <> mine.item_id GROUP BY 1, 2),
        ranked AS (
            SELECT s.*, row_number() OVER (PARTITION BY s.item_id ORDER BY s.alike DESC, s.sibling) AS place,
                (SELECT count(*) FROM mine WHERE mine.item_id = s.item_id) AS own FROM shared s)
        SELECT i.number, o.number AS sibling FROM ranked r JOIN items i ON i.id = r.item_id JOIN items o ON o.id = r.sibling
        WHERE r.place <= 6 AND r.alike * 3 >= r.own ORDER BY i.number, r.place";

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
     * Structures to which edits may go: of the items that share the most components, the most alike first, and the same at other plants.
     *
     * @param  list<NamedWork>  $sources
     * @return array<string, list<string>> keys by the key of the source
     */
    public static function offered(array $sources): array
    {
        $numbers = array_values(array_unique(array_map(static fn(NamedWork $one): string => $one->item, $sources)));
        $alike = self::alike($numbers);
        $plants = [];
        foreach (self::builtAt([...$numbers, ...array_merge(...array_values($alike))]) as $row) {
            $plants[$row->number][] = $row->plant;
        }
        $offered = [];
        foreach ($sources as $source) {
            $same = array_filter(
                $alike[$source->item] ?? [],
                static fn(string $number): bool => $source->plant === '' || in_array($source->plant, $plants[$number] ?? [], true),
            );
            $elsewhere = $source->plant === '' ? [] : array_diff($plants[$source->item] ?? [], [$source->plant]);
            $offered[$source->key()] = [
                ...array_map(static fn(string $number): string => "{$number} {$source->work()}", array_values($same)),
                ...array_map(
                    static fn(string $plant): string => (new NamedWork($source->order, $source->item, $source->kind, $plant))->key(),
                    array_values($elsewhere),
                ),
            ];
        }

        return $offered;
    }

    /**
     * @param  list<string>  $numbers
     * @return array<array-key, \stdClass> number and plant
     */
    private static function builtAt(array $numbers): array
    {
        return DB::table('contents AS c')
            ->join('items AS i', 'i.id', '=', 'c.item_id')
            ->where(['c.kind' => Subject::MANUFACTURING, 'c.status' => RevisionStatus::Released->value])
            ->whereIn('i.number', $numbers)
            ->orderBy('c.plant')
            ->get(['i.number', 'c.plant'])
            ->all();
    }

    /**
     * @param  list<string>  $numbers
     * @return array<string, list<string>> numbers by number
     */
    private static function alike(array $numbers): array
    {
        $alike = [];
        foreach (DB::select(self::ALIKE, [json_encode($numbers, JSON_THROW_ON_ERROR)]) as $row) {
            $alike[$row->number][] = $row->sibling;
        }

        return $alike;
    }
}
