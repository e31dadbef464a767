<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Manufacturing\Data\AccountabilityPage;
use App\Structures\Compare\PlannedSide;
use App\Structures\ItemRows;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\StructureReader;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\Phase;

/** What a plant has taken over of an item as engineering declares it on a day, or as an open order would make it. */
final readonly class AccountabilityReader
{
    public function __construct(private PlantStructures $plants, private StructureReader $structures, private PlannedSide $planned) {}

    /**
     * @param  ?string  $plant  null: the first that builds it
     * @param  ?string  $order  by number; null: what is in force
     *
     * @throws Refusal when the order does not revise the item, or a kit contains itself
     */
    public function read(Item $item, ?string $plant, Day $day, ?string $order = null): AccountabilityPage
    {
        $contents = $this->plants->ofItems([$item->id], $day);
        $content = $plant === null ? $contents->first() : $contents->firstWhere('plant', $plant);
        $revision = self::revision($item, $day);
        $engineering =
            $order === null ? $this->structures->ofContent($revision?->id)->on($day) : $this->planned->of($item, $order, null, 'order');
        $of =
            $content === null
                ? Accountability::of($engineering, [])
                : $this->plants->account($contents->where('id', $content->id), [$item->id => $engineering], $day)[$content->id];
        $numbers = [];
        foreach ([...array_merge(...array_column($of->lines, 'shares')), ...$of->additions] as $share) {
            array_push($numbers, $share->part->component(), ...$share->part->through);
        }
        foreach ($of->lines as $line) {
            array_push($numbers, $line->line->component, ...array_filter([$line->record?->by]));
        }

        return AccountabilityPage::of(
            $item->number,
            $content,
            plants: array_values($contents->map(static fn(Content $one): string => $one->plant)->all()),
            builds: $item->everReleased->firstWhere('id', $content?->builds_id)?->code,
            declared: $order ?? $revision?->code,
            of: $of,
            items: ItemRows::byNumber(array_values(array_unique($numbers))),
        );
    }

    /** The revision of what engineering declares that is in force. */
    private static function revision(Item $item, Day $day): ?Revision
    {
        $inForce = $item->inForce($day);

        return $inForce->phase() === Phase::InForce ? $item->everReleased->firstWhere('code', $inForce->shown?->code) : null;
    }
}
