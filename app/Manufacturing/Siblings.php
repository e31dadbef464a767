<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\Sibling;
use Orthotaxis\Core\Refusal;

/** Other items that a plant builds, as examples of how it takes components over. */
final readonly class Siblings
{
    /** So many are offered. */
    private const OFFERED = 8;

    public function __construct(private PlantStructures $plants, private DeclaredStructures $declared) {}

    /**
     * Those with the most of some components first, and among them those of the item's own category.
     *
     * @param  list<string>  $components  numbers
     * @return list<string> numbers of items
     */
    public function numbers(Item $item, string $plant, array $components, Day $day): array
    {
        if ($components === []) {
            return [];
        }
        $rows = DB::select(
            "SELECT i.number FROM contents c JOIN items i ON i.id = c.item_id
                JOIN structure_lines l ON l.content_id = c.builds_id JOIN items p ON p.id = l.component_id
            WHERE c.kind = 'manufacturing' AND c.plant = ? AND c.status IN ('released', 'superseded', 'obsolete')
                AND daterange(c.effective_from, c.effective_to) @> ?::date AND c.item_id <> ?
                AND p.number IN (SELECT jsonb_array_elements_text(?::jsonb))
            GROUP BY i.id ORDER BY count(DISTINCT p.id) DESC, i.category_id IS DISTINCT FROM ?, i.number LIMIT ?",
            [$plant, (string) $day, $item->id, json_encode($components, JSON_THROW_ON_ERROR), $item->category_id, self::OFFERED],
        );

        return array_map(strval(...), array_column($rows, 'number'));
    }

    /** @throws Refusal when the plant does not build it on that day, or a kit of it contains itself */
    public function read(string $number, string $plant, Day $day): Sibling
    {
        $items = Item::query()->with('everReleased')->where('number', $number)->get()->toBase();
        foreach ($this->plants->inForce($items, $this->declared->of($items, $day), $day) as $built) {
            if ($built->plant === $plant) {
                return new Sibling($number, $this->plants->account([$built], $day)[0], $built->content->routing);
            }
        }
        throw Refusal::at('sibling', "{$plant} does not build {$number} on that day.");
    }
}
