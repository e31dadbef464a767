<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\StructureReader;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Revision\Phase;
use Orthotaxis\Core\Structure\Structure;

/** What engineering declares of items, as it is in force on a day. */
final readonly class DeclaredStructures
{
    public function __construct(private StructureReader $structures) {}

    /**
     * @param  Collection<int, Item>  $items  with all their revisions
     * @return array<int, Structure> by item
     */
    public function of(Collection $items, Day $day): array
    {
        $revisions = [];
        foreach ($items as $item) {
            $revisions[$item->id] = self::revision($item, $day)?->id;
        }
        $lines = $this->structures->ofContents(array_values(array_filter($revisions)));

        return array_map(static fn(?int $id): Structure => ($lines[$id] ?? new Structure())->on($day), $revisions);
    }

    /** The revision that is in force. */
    public static function revision(Item $item, Day $day): ?Revision
    {
        $inForce = $item->inForce($day);

        return $inForce->phase() === Phase::InForce ? $item->everReleased->firstWhere('code', $inForce->shown?->code) : null;
    }
}
