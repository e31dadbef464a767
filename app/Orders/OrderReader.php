<?php

declare(strict_types=1);

namespace App\Orders;

use App\Documents\FileRole;
use App\Documents\Models\ItemFile;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\Models\OrderItem;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\PinnedRevisions;
use App\Structures\RevisionSequences;
use App\Structures\StructureReader;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem as CoreOrderItem;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\Edit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** Brings an order with its items and edits from the database to core. */
final readonly class OrderReader
{
    public function __construct(private StructureReader $structures, private RevisionSequences $sequences) {}

    /** Loads all that reading the order needs, in a fixed number of queries. */
    public static function load(ChangeOrder $order): ChangeOrder
    {
        return $order
            ->load([
                'items.item.category',
                'items.item.released',
                'items.item.everReleased',
                'items.item.revisingOrders',
                'items.base',
                'items.edits.author',
                'author',
                'editor',
                'signer',
                'signatures.person',
                'requests',
            ])
            ->setRelation('items', $order->items->each->setRelation('order', $order));
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
            $base = $before[$row->base_revision_id] ?? new Structure();
            [$after, $broken] = self::after($base, self::activeEdits($row));
            $items[] = [$row, $base, $after, $broken];
            $components = [...$components, ...$after->components()];
            foreach ($row->edits as $edit) {
                if ($edit->withdrawn_at === null) {
                    $authors[$edit->author_id] = true;
                }
            }
        }
        // What is released for the first time under the same order is there on the same day.
        $introduced = $order->items->where('outcome', Outcome::Revise)->pluck('item_id');
        $unreleased = Item::query()
            ->whereIn('number', array_unique($components))
            ->whereNotIn('id', $introduced)
            ->whereDoesntHave(
                'everReleased',
                $order->effective_on === null
                    ? null
                    : static fn(Builder $query): mixed => $query->tap(Revision::effectiveOn(Day::parse($order->effective_on))),
            )
            ->pluck('number')
            ->all();
        $unresolved = $this->unresolved($order, array_column($items, 2));
        $sheets = self::sheets($order);
        // Whoever brought a sheet that is released with the order has made a part of what is signed.
        $authors += array_fill_keys($sheets->pluck('person_id')->filter()->all(), true);
        $drafts = $sheets
            ->groupBy('item_id')
            ->map(
                static fn(Collection $files): array => $files
                    ->map(static fn(ItemFile $file): string => "{$file->role->value} {$file->name} {$file->sha256}")
                    ->values()
                    ->all(),
            )
            ->all();
        $signed = $order->signatures->first(static fn($signature): bool => $signature->meaning === 'signed' && !$signature->void);

        return new Order(
            $order->number,
            $order->state,
            $order->author_id,
            $order->editor_id,
            $order->signer_id,
            $order->effective_on === null ? null : Day::parse($order->effective_on),
            array_map(
                fn(array $parts): CoreOrderItem => $this->item(
                    $parts[0],
                    $parts[1],
                    $parts[2],
                    $parts[3],
                    $unreleased,
                    $unresolved,
                    $drafts[$parts[0]->item_id] ?? [],
                ),
                $items,
            ),
            array_keys($authors),
            $signed?->digest,
            signedBy: $order->holdingSigners(),
        );
    }

    /** @return list<Edit> what holds now, in order */
    public static function activeEdits(OrderItem $row): array
    {
        return $row->edits->whereNull('withdrawn_at')->map(static fn(EditRecord $edit): Edit => $edit->toCore())->values()->all();
    }

    /**
     * Revisions that lines name and that neither are released nor come with this order.
     *
     * @param  list<Structure>  $structures
     * @return array<string, string> in words, by what Line::below says
     */
    private function unresolved(ChangeOrder $order, array $structures): array
    {
        $lines = array_filter(
            array_merge(...array_map(static fn(Structure $one): array => array_values($one->lines), $structures)),
            static fn(Line $line): bool => $line->revision !== null,
        );
        $coming = [];
        foreach ($order->items as $row) {
            if ($row->outcome === Outcome::Revise) {
                $coming[Line::pinned($row->item->number, $this->sequences->of($row->item)->next(self::baseCode($row)))] = true;
            }
        }
        $known = $coming + PinnedRevisions::ids($lines);
        $unresolved = [];
        foreach ($lines as $line) {
            if (!isset($known[$line->below()])) {
                $unresolved[$line->below()] = "{$line->component} at revision {$line->revision}";
            }
        }

        return $unresolved;
    }

    /** @return Collection<int, ItemFile> the files that the order releases. Data sheets and pictures are no part of what is signed. */
    private static function sheets(ChangeOrder $order): Collection
    {
        return ItemFile::query()
            ->where('role', FileRole::Sheet)
            ->whereIn('item_id', $order->items->where('outcome', Outcome::Revise)->pluck('item_id'))
            ->where(
                static fn(Builder $either): Builder => $either
                    ->where('order_id', $order->id)
                    ->orWhere(static fn(Builder $draft): Builder => $draft->whereNull('order_id')->whereNull('revision_id')),
            )
            ->orderBy('id')
            ->get();
    }

    /** The released revision that the edits start from, if one does. */
    private static function baseCode(OrderItem $row): ?string
    {
        $base = $row->base?->status->isFrozen() === true ? $row->base->code : null;

        // Before the order is opened, it has no base yet.
        return $row->base === null && $row->order->state !== OrderState::Revising ? $row->item->released?->code : $base;
    }

    /**
     * @param  list<Edit>  $edits
     * @return array{Structure, list<string>} after, and why edits do not fit
     */
    public static function after(Structure $base, array $edits): array
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
     * @param  array<string, string>  $unresolved
     * @param  list<string>  $files
     */
    private function item(
        OrderItem $row,
        Structure $before,
        Structure $after,
        array $broken,
        array $unreleased,
        array $unresolved,
        array $files,
    ): CoreOrderItem {
        $from = $row->base?->effective_from;
        $code = self::baseCode($row);
        $newest = $row->item->released?->code;

        return new CoreOrderItem(
            $row->item->number,
            $row->outcome,
            $row->disposition,
            $code,
            // Once released, the order's own revision is the newest; nothing has moved on then.
            $row->order_id === $row->item->released?->order_id ? $code : $newest,
            $from === null ? null : Day::parse($from),
            $before,
            $after,
            [
                ...array_values(array_intersect($after->components(), array_map(strval(...), array_filter($unreleased, is_string(...))))),
                ...array_values(
                    array_intersect_key($unresolved, array_flip(array_map(static fn(Line $line): string => $line->below(), $after->lines))),
                ),
            ],
            $broken,
            $files,
            sequence: $this->sequences->of($row->item),
        );
    }
}
