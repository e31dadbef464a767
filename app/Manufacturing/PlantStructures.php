<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Models\Content;
use App\Structures\StructureReader;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\OnRecord;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** What plants build, as it is in force on a day. */
final readonly class PlantStructures
{
    private const HOLDS = "c.kind = 'manufacturing' AND c.plant = ? AND c.status IN ('released', 'superseded', 'obsolete')
        AND c.effective_from <= ? AND (c.effective_to IS NULL OR c.effective_to > ?)";

    public function __construct(private StructureReader $structures) {}

    /** @return Collection<int, Content> of an item, in force on the day, one a plant, by the names of the plants */
    public function ofItem(int $item, Day $day): Collection
    {
        return Content::query()
            ->where('item_id', $item)
            ->where('kind', 'manufacturing')
            ->whereIn('status', ['released', 'superseded', 'obsolete'])
            ->where('effective_from', '<=', (string) $day)
            ->where(static fn($query) => $query->whereNull('effective_to')->orWhere('effective_to', '>', (string) $day))
            ->orderBy('plant')
            ->get();
    }

    public function lines(Content $content, Day $day): Structure
    {
        return $this->structures->ofContent($content->id)->on($day);
    }

    /**
     * What is in the kits and other levels below a content that only manufacturing has: that are built at the plant, and of which
     * engineering declares no structure.
     *
     * @return array<string, list<Line>> by item
     */
    public function below(Content $content, Day $day): array
    {
        $kits = DB::select(
            'WITH RECURSIVE kits (id, item_id) AS (
                SELECT c.id, c.item_id FROM structure_lines l JOIN contents c ON c.item_id = l.component_id AND ' .
                self::HOLDS .
                ' WHERE l.content_id = ? AND ' .
                self::UNDECLARED .
                ' UNION
                SELECT c.id, c.item_id FROM kits JOIN structure_lines l ON l.content_id = kits.id JOIN contents c ON c.item_id = l.component_id AND ' .
                self::HOLDS .
                ' WHERE ' .
                self::UNDECLARED .
                ')
            SELECT kits.id, i.number FROM kits JOIN items i ON i.id = kits.item_id',
            [
                $content->plant,
                (string) $day,
                (string) $day,
                $content->id,
                (string) $day,
                (string) $day,
                $content->plant,
                (string) $day,
                (string) $day,
                (string) $day,
                (string) $day,
            ],
        );
        $lines = $this->structures->ofContents(array_column($kits, 'id'));
        $below = [];
        foreach ($kits as $kit) {
            $below[$kit->number] = array_values(($lines[$kit->id] ?? new Structure())->on($day)->lines);
        }

        return $below;
    }

    /** Engineering has no line in force of the component. */
    private const UNDECLARED = 'NOT EXISTS (SELECT 1 FROM revisions r JOIN structure_lines e ON e.content_id = r.id WHERE r.item_id = l.component_id
        AND r.effective_from <= ? AND (r.effective_to IS NULL OR r.effective_to > ?))';

    /** @return list<OnRecord> */
    public function records(Content $content): array
    {
        return array_map(
            static fn(\stdClass $row): OnRecord => $row->by === null
                ? OnRecord::leftOut($row->line_key, $row->reason)
                : OnRecord::replaced(
                    $row->line_key,
                    $row->by,
                    $row->reason,
                    new: Quantity::ofMillionths($row->new),
                    unit: Unit::from($row->unit),
                    old: Quantity::ofMillionths($row->old),
                ),
            array_values(
                DB::select(
                    'SELECT o.line_key, o.reason, o.new, o.unit, o.old, i.number AS by FROM line_records o LEFT JOIN items i ON i.id = o.by_id
                WHERE o.content_id = ? ORDER BY o.id',
                    [$content->id],
                ),
            ),
        );
    }
}
