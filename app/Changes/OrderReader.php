<?php

declare(strict_types=1);

namespace App\Changes;

use App\Changes\Models\ChangeOrder;
use App\Changes\Models\EditRecord;
use App\Changes\Models\OrderItem;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem as CoreOrderItem;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\Edit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/** Brings an order with its items and edits from the database to core. */
final readonly class OrderReader
{
    public function __construct(private StructureReader $structures) {}

    /** Loads all that reading the order needs, in a fixed number of queries. */
    public static function load(ChangeOrder $order): ChangeOrder
    {
        return $order->load([
            'items.item.category', 'items.item.released', 'items.item.revisingOrders', 'items.base', 'items.edits.author',
            'author', 'editor', 'signer', 'signatures.person', 'requests',
        ]);
    }

    public function toCore(ChangeOrder $order): Order
    {
        self::load($order);
        /** @var list<int> $bases */
        $bases = $order->items->pluck('base_revision_id')->filter()->values()->all();
        $before = $this->structures->ofRevisions($bases);

        $items = [];
        $components = [];
        $authors = [];
        foreach ($order->items as $row) {
            $base = $before[$row->base_revision_id] ?? new Structure;
            [$after, $broken] = self::after($base, self::activeEdits($row));
            $items[] = [$row, $base, $after, $broken];
            $components = [...$components, ...$after->components()];
            foreach ($row->edits as $edit) {
                if ($edit->withdrawn_at === null) {
                    $authors[$edit->author_id] = true;
                }
            }
        }
        $unreleased = Item::query()->whereIn('number', array_unique($components))->whereDoesntHave('released')->pluck('number')->all();
        $signed = $order->signatures->first(static fn ($signature): bool => $signature->meaning === 'signed' && ! $signature->void);

        return new Order(
            $order->number, $order->state, $order->author_id, $order->editor_id, $order->signer_id,
            $order->effective_on === null ? null : Day::parse($order->effective_on),
            array_map(static fn (array $parts): CoreOrderItem => self::item($parts[0], $parts[1], $parts[2], $parts[3], $unreleased), $items),
            array_keys($authors),
            $signed?->digest,
        );
    }

    /** @return list<Edit> what holds now, in order */
    public static function activeEdits(OrderItem $row): array
    {
        return $row->edits->whereNull('withdrawn_at')->map(static fn (EditRecord $edit): Edit => $edit->toCore())->values()->all();
    }

    /**
     * @param  list<Edit>  $edits
     * @return array{Structure, list<string>} after, and why edits do not fit
     */
    private static function after(Structure $base, array $edits): array
    {
        try {
            return [Apply::all($base, $edits), []];
        } catch (Refusal $refusal) {
            return [$base, array_values($refusal->reasons)];
        }
    }

    /**
     * @param  list<string>  $broken
     * @param  array<array-key, mixed>  $unreleased
     */
    private static function item(OrderItem $row, Structure $before, Structure $after, array $broken, array $unreleased): CoreOrderItem
    {
        $from = $row->base?->effective_from;

        return new CoreOrderItem(
            $row->item->number,
            $row->outcome,
            $row->disposition,
            $row->base->code ?? $row->item->released?->code,
            // Once released, the order's own revision is the newest; nothing has moved on then.
            $row->order_id === $row->item->released?->order_id ? ($row->base->code ?? null) : $row->item->released?->code,
            $from === null ? null : Day::parse($from),
            $before,
            $after,
            array_values(array_intersect($after->components(), array_map(strval(...), array_filter($unreleased, is_string(...))))),
            $broken,
        );
    }
}
