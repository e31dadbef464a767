<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\PinnedRevisions;
use App\Structures\StructureReader;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Structure\StructureKind;

/** Opens the sides of a comparison. */
final readonly class SideReader
{
    public function __construct(private StructureReader $structures, private PlannedSide $planned) {}

    /**
     * @param  bool  $operations  whether the operations of lines are compared
     * @param  string  $place  where it is said when the side cannot be had
     *
     * @throws Refusal
     */
    public function open(SideSpec $spec, StructureIndex $index, bool $operations, string $place): NamedSide
    {
        if ($spec->file !== null) {
            $structures = $spec->file->structures();
            if (!isset($structures[$spec->item->number])) {
                throw Refusal::at(
                    "{$place}_file",
                    "{$spec->file->name} says nothing about {$spec->item->number}. It has " .
                        implode(', ', array_slice(array_map(strval(...), array_keys($structures)), 0, 5)) .
                        '.',
                );
            }

            return new FileSide($structures, $index);
        }
        $below = new IndexSide($index, $spec->view, $spec->day, $operations);
        $top = match (true) {
            $spec->order !== null => $this->planned->of($spec, "{$place}_order"),
            $spec->revision !== null => $this->ofRevision($spec, "{$place}_revision"),
            default => null,
        };

        return $top === null ? $below : self::fixed($below, $spec->item, $top);
    }

    /** Lines given one by one in place of those of the item itself. */
    public static function fixed(IndexSide $below, Item $item, Structure $top): FixedSide
    {
        $components = [];
        foreach (Item::query()->whereIn('number', $top->components())->pluck('id', 'number') as $number => $id) {
            $components[(string) $number] = $below->index->positions->of($id);
        }

        foreach (PinnedRevisions::ids($top) as $pinned => $revision) {
            $components[$pinned] = $below->index->positions->ofKnownRevision($revision);
        }

        return new FixedSide($below, $below->index->positions->of($item->id), $top, array_filter($components, is_int(...)));
    }

    private function ofRevision(SideSpec $spec, string $place): Structure
    {
        if ($spec->view->kind === StructureKind::Manufacturing) {
            return $this->structures->ofContent($spec->builtRevision($place)->id);
        }
        $revision =
            $spec->item->revisions()->where('code', $spec->revision)->first() ??
            throw Refusal::at($place, "{$spec->item->number} has no revision {$spec->revision}.");

        return $this->structures->ofRevision($revision->id, $spec->view);
    }
}
