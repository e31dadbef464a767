<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Documents\Models\ItemFile;
use App\Ledger\Ledger;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\Models\StructureLine;
use App\Structures\PinnedRevisions;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Release\ItemRelease;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\StructureKind;

/** Makes the revisions of a release plan true, one by one: lines, files, status, dates. */
final class ReleaseRevision
{
    /** @var array<string, Revision> by item number */
    private array $coming = [];

    /** @var array<string, int> item id by number */
    private array $components;

    /** @var array<string, int> revision id by what Line::below says */
    private array $pinned;

    public function __construct(
        private readonly Ledger $ledger,
        private readonly ChangeOrder $order,
        ReleasePlan $plan,
        private readonly Person $by,
        private readonly CarbonImmutable $now,
    ) {
        $rows = $order->items->keyBy(static fn(OrderItem $row): string => $row->item->number);
        $lines = [];
        $own = [];
        foreach ($plan->items as $item) {
            $lines = [...$lines, ...array_values($item->lines->lines)];
            $this->coming[$item->number] = $this->begin($rows[$item->number], $item);
            $own[Line::pinned($item->number, $item->revision)] = $this->coming[$item->number]->id;
        }
        $this->components = Item::query()
            ->whereIn('number', array_unique(array_map(static fn(Line $line): string => $line->component, $lines)))
            ->pluck('id', 'number')
            ->all();
        $this->pinned = $own + PinnedRevisions::ids($lines);
    }

    public function release(OrderItem $row, ItemRelease $item): void
    {
        $revision = $this->coming[$item->number];
        StructureLine::query()->insert(
            array_values(
                array_map(
                    fn(Line $line): array => [
                        'revision_id' => $revision->id,
                        'kind' => StructureKind::Engineering->value,
                        ...StructureLine::columns(
                            $line,
                            $this->components[$line->component],
                            $line->revision === null ? null : $this->pinned[$line->below()],
                        ),
                    ],
                    $item->lines->lines,
                ),
            ),
        );
        ItemFile::drafts($this->order->id, [$row->item_id])->update(['revision_id' => $revision->id, 'order_id' => $this->order->id]);
        if ($item->supersedes !== null) {
            $this->supersede($row, $revision, $item);
        }
        $revision->update([
            'status' => RevisionStatus::Released,
            'effective_from' => (string) $item->effectiveFrom,
            'released_at' => $this->now,
            'released_by' => $this->by->id,
        ]);
        $this->ledger->record($this->by->login, 'revision.released', $item->number, [
            'revision' => $item->revision,
            'supersedes' => $item->supersedes,
            'order' => $this->order->number,
            'effective_from' => (string) $item->effectiveFrom,
        ]);
    }

    /** The row that becomes the released revision: what was begun of a first one, or a new one. Lines are given anew. */
    private function begin(OrderItem $row, ItemRelease $item): Revision
    {
        $revision =
            Revision::query()
                ->where('item_id', $row->item_id)
                ->whereIn('status', [RevisionStatus::InWork, RevisionStatus::InReview])
                ->first() ?? new Revision(['item_id' => $row->item_id]);
        $revision
            ->fill([
                'code' => $item->revision,
                'status' => RevisionStatus::InReview,
                'order_id' => $this->order->id,
                'reason' => $this->order->title,
                'iteration' => max(1, $row->iterations()->count()),
                'created_at' => $this->now,
            ])
            ->save();
        StructureLine::query()->where('revision_id', $revision->id)->where('kind', StructureKind::Engineering->value)->delete();

        return $revision;
    }

    private function supersede(OrderItem $row, Revision $revision, ItemRelease $item): void
    {
        // The other pictures of the product are not edited here: they go on as they are.
        DB::insert(
            '
            INSERT INTO structure_lines (revision_id, kind, plant, line_key, find, component_id, quantity, unit, designators, notes, operation, not_modelled, phantom, valid_from, valid_to, pinned_id)
            SELECT ?, kind, plant, line_key, find, component_id, quantity, unit, designators, notes, operation, not_modelled, phantom, valid_from, valid_to, pinned_id
            FROM structure_lines WHERE revision_id = ? AND kind <> ?',
            [$revision->id, $row->base_revision_id, StructureKind::Engineering->value],
        );
        Revision::query()
            ->whereKey($row->base_revision_id)
            ->update([
                'status' => RevisionStatus::Superseded,
                'effective_to' => (string) $item->effectiveFrom,
            ]);
    }
}
