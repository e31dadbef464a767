<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Changes\Models\ChangeOrder;
use App\Changes\Models\OrderItem;
use App\Changes\OrderReader;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\Models\StructureLine;
use App\Structures\Today;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Release\ItemRelease;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\StructureKind;

/** In one stroke: new revisions released, old ones superseded, their lines in force from the date, the hand-over on its way. */
final readonly class ReleaseOrder
{
    public function __construct(private OrderReader $orders, private WriteHandover $handovers, private Ledger $ledger) {}

    public function release(Person $by, string $number, int $version): void
    {
        DB::transaction(function () use ($by, $number, $version): void {
            $order = ChangeOrder::hold($number);
            if ($order->state === OrderState::Released || $order->state === OrderState::Closed) {
                throw Refusal::at('order', "{$number} is released already; nothing was done twice.");
            }
            $order->mustBeAt($version);
            $this->holdItems($order);
            $plan = self::plan($order, $this->orders);

            $now = CarbonImmutable::now();
            $components = self::componentIds($plan);
            $rows = $order->items->keyBy(static fn (OrderItem $row): string => $row->item->number);
            foreach ($plan->items as $item) {
                $this->releaseItem($order, $rows[$item->number], $item, $components, $by, $now);
            }
            $order->update(['state' => OrderState::Released, 'released_at' => $now, 'version' => $version + 1]);
            $handover = $this->handovers->write($order, $plan, $now);
            $this->ledger->record($by->login, 'order.released', $number, [
                'effective_from' => (string) $plan->effectiveFrom,
                'revisions' => array_map(static fn (ItemRelease $item): string => "{$item->number} {$item->supersedes} → {$item->revision}", $plan->items),
                'hand_over' => $handover->name,
            ]);
        });
    }

    /** @throws Refusal naming every condition that does not hold */
    public static function plan(ChangeOrder $order, OrderReader $orders): ReleasePlan
    {
        $core = $orders->toCore($order);
        $sequences = [];
        foreach ($order->items as $row) {
            $sequences[$row->item->number] = $row->item->category->sequence;
        }

        return ReleasePlan::of($core, $sequences, Today::day());
    }

    /** Two orders on one item take turns: the second finds that its base has moved on. */
    private function holdItems(ChangeOrder $order): void
    {
        Item::query()->whereIn('id', $order->items()->pluck('item_id'))->orderBy('id')->lockForUpdate()->get();
    }

    /** @return array<string, int> item id by number */
    private static function componentIds(ReleasePlan $plan): array
    {
        $numbers = array_merge(...array_map(static fn (ItemRelease $item): array => $item->lines->components(), $plan->items));

        return Item::query()->whereIn('number', array_unique($numbers))->pluck('id', 'number')->all();
    }

    /** @param  array<string, int>  $components */
    private function releaseItem(ChangeOrder $order, OrderItem $row, ItemRelease $item, array $components, Person $by, CarbonImmutable $now): void
    {
        $revision = Revision::query()->create([
            'item_id' => $row->item_id, 'code' => $item->revision, 'status' => RevisionStatus::InReview, 'order_id' => $order->id,
            'reason' => $order->title, 'created_at' => $now,
        ]);
        StructureLine::query()->insert(array_values(array_map(
            static fn (Line $line): array => [
                'revision_id' => $revision->id, 'kind' => StructureKind::Engineering->value,
                ...StructureLine::columns($line, $components[$line->component]),
            ],
            $item->lines->lines,
        )));
        // The other pictures of the product are not edited here: they go on as they are.
        DB::insert('
            INSERT INTO structure_lines (revision_id, kind, plant, line_key, find, component_id, quantity, unit, designators, notes, operation, not_modelled, phantom, valid_from, valid_to)
            SELECT ?, kind, plant, line_key, find, component_id, quantity, unit, designators, notes, operation, not_modelled, phantom, valid_from, valid_to
            FROM structure_lines WHERE revision_id = ? AND kind <> ?', [$revision->id, $row->base_revision_id, StructureKind::Engineering->value]);
        Revision::query()->whereKey($row->base_revision_id)->update([
            'status' => RevisionStatus::Superseded, 'effective_to' => (string) $item->effectiveFrom,
        ]);
        $revision->update([
            'status' => RevisionStatus::Released, 'effective_from' => (string) $item->effectiveFrom,
            'released_at' => $now, 'released_by' => $by->id,
        ]);
        $this->ledger->record($by->login, 'revision.released', $item->number, [
            'revision' => $item->revision, 'supersedes' => $item->supersedes, 'order' => $order->number, 'effective_from' => (string) $item->effectiveFrom,
        ]);
    }
}
