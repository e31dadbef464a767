<?php

declare(strict_types=1);

namespace App\Orders;

use App\Documents\FileRole;
use App\Documents\Models\ItemFile;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\Models\OrderItem;
use App\Orders\Models\Signature;
use App\Structures\Models\Item;
use App\Structures\PinnedRevisions;
use App\Structures\RevisionSequences;
use App\Structures\StructureReader;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as SupportCollection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem as CoreOrderItem;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\Edit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\Phase;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** Brings orders with their items and edits from the database to core. */
final readonly class OrderReader
{
    private const RELATIONS = [
        'items.item.category',
        'items.item.everReleased',
        'items.item.revisingOrders',
        'items.base',
        'items.edits.author',
        'author',
        'editor',
        'signer',
        'signatures.person',
        'requests',
    ];

    public function __construct(private StructureReader $structures, private RevisionSequences $sequences) {}

    /** Loads all that reading the order needs, in a fixed number of queries. */
    public static function load(ChangeOrder $order): ChangeOrder
    {
        self::loadAll(new Collection([$order]));

        return $order;
    }

    public function toCore(ChangeOrder $order): Order
    {
        return $this->many(new Collection([$order]))[$order->id];
    }

    /**
     * Several at once, in a number of queries that does not depend on how many.
     *
     * @param  Collection<int, ChangeOrder>  $orders
     * @return array<int, Order> by id
     */
    public function many(Collection $orders): array
    {
        $rows = self::loadAll($orders);
        $bases = $this->structures->ofRevisions(array_values($rows->pluck('base_revision_id')->filter()->unique()->all()));
        $works = $lines = [];
        foreach ($rows as $row) {
            $base = $bases[$row->base_revision_id] ?? new Structure();
            [$after, $broken] = self::after($base, self::activeEdits($row));
            $works[$row->order_id][] = [$row, $base, $after, $broken];
            array_push($lines, ...array_values($after->lines));
        }
        $released = self::everReleased($lines);
        $pinned = PinnedRevisions::ids($lines);
        $sheets = self::sheets($rows);

        return $orders
            ->keyBy('id')
            ->map(fn(ChangeOrder $order): Order => $this->order($order, $works[$order->id] ?? [], $released, $pinned, $sheets))
            ->all();
    }

    /**
     * @param  Collection<int, ChangeOrder>  $orders
     * @return SupportCollection<int, OrderItem> all that they name
     */
    private static function loadAll(Collection $orders): SupportCollection
    {
        return $orders->load(self::RELATIONS)->toBase()->flatMap(
            static fn(ChangeOrder $order): Collection => $order->items->each(static function (OrderItem $row) use ($order): void {
                $row->setRelation('order', $order);
                $row->item->setRelation('released', $row->item->everReleased->firstWhere('status', RevisionStatus::Released));
            }),
        );
    }

    /**
     * @param  list<array{OrderItem, Structure, Structure, list<string>}>  $works  item, before, after, and why edits do not fit
     * @param  array<array-key, Item>  $released  components by number
     * @param  array<string, int>  $pinned  released revisions that lines name
     * @param  Collection<int, ItemFile>  $sheets
     */
    private function order(ChangeOrder $order, array $works, array $released, array $pinned, Collection $sheets): Order
    {
        $day = $order->effective_on === null ? null : Day::parse($order->effective_on);
        $revised = $order->items->where('outcome', Outcome::Revise);
        $coming = [];
        foreach ($revised as $row) {
            $coming[Line::pinned($row->item->number, $this->sequences->of($row->item)->next(self::baseCode($row)))] = true;
        }
        // What is released for the first time under the same order is there on the same day.
        $lacking = array_diff_key(
            array_filter($released, static fn(Item $item): bool => !self::isThere($item, $day)),
            $revised->keyBy(static fn(OrderItem $row): string => $row->item->number)->all(),
        );
        $sheets = $sheets
            ->whereIn('item_id', $revised->pluck('item_id'))
            ->filter(static fn(ItemFile $file): bool => $file->order_id === null || $file->order_id === $order->id);
        // Whoever brought a sheet that is released with the order has made a part of what is signed.
        $authors = $order->items
            ->flatMap(static fn(OrderItem $row): SupportCollection => $row->edits->whereNull('withdrawn_at')->toBase()->pluck('author_id'))
            ->merge($sheets->pluck('person_id')->filter());

        return new Order(
            number: $order->number,
            state: $order->state,
            author: $order->author_id,
            editor: $order->editor_id,
            signer: $order->signer_id,
            effectiveOn: $day,
            items: array_map(
                fn(array $work): CoreOrderItem => $this->item(
                    $work,
                    [...self::notThere($work[2], $lacking), ...self::unresolved($work[2], $coming + $pinned)],
                    $sheets
                        ->where('item_id', $work[0]->item_id)
                        ->map(static fn(ItemFile $file): string => "{$file->role->value} {$file->name} {$file->sha256}")
                        ->values()
                        ->all(),
                ),
                $works,
            ),
            editAuthors: $authors->unique()->values()->all(),
            signedDigest: $order->signatures->first(
                static fn(Signature $signature): bool => $signature->meaning === 'signed' && !$signature->void,
            )?->digest,
            signedBy: $order->holdingSigners(),
        );
    }

    /** Whether the item has a revision in force on the day; while none is said, whether it has one at all. */
    private static function isThere(Item $item, ?Day $day): bool
    {
        return $day === null ? $item->everReleased->isNotEmpty() : $item->inForce($day)->phase() === Phase::InForce;
    }

    /**
     * @param  list<Line>  $lines
     * @return array<array-key, Item> their components by number, with all that was ever released of them
     */
    private static function everReleased(array $lines): array
    {
        $numbers = array_unique(array_map(static fn(Line $line): string => $line->component, $lines));

        return $numbers === [] ? [] : Item::query()->with('everReleased')->whereIn('number', $numbers)->get()->keyBy('number')->all();
    }

    /**
     * @param  array<array-key, Item>  $lacking  by number
     * @return list<string> components of the structure that are not there on the day
     */
    private static function notThere(Structure $after, array $lacking): array
    {
        return array_values(array_filter($after->components(), static fn(string $number): bool => isset($lacking[$number])));
    }

    /**
     * @param  array<string, mixed>  $known  by what Line::below says
     * @return list<string> revisions that lines name and that neither are released nor come with the order, in words
     */
    private static function unresolved(Structure $after, array $known): array
    {
        $unresolved = [];
        foreach ($after->lines as $line) {
            if ($line->revision !== null && !isset($known[$line->below()])) {
                $unresolved[$line->below()] = "{$line->component} at revision {$line->revision}";
            }
        }

        return array_values($unresolved);
    }

    /** @return list<Edit> what holds now, in order */
    public static function activeEdits(OrderItem $row): array
    {
        return $row->edits->whereNull('withdrawn_at')->map(static fn(EditRecord $edit): Edit => $edit->toCore())->values()->all();
    }

    /**
     * Data sheets and pictures are no part of what is signed.
     *
     * @param  SupportCollection<int, OrderItem>  $rows
     * @return Collection<int, ItemFile> the sheets that orders bring to these items, and drafts that belong to no order yet
     */
    private static function sheets(SupportCollection $rows): Collection
    {
        return ItemFile::query()
            ->where('role', FileRole::Sheet)
            ->whereIn('item_id', $rows->where('outcome', Outcome::Revise)->pluck('item_id')->unique())
            ->where(
                static fn(Builder $either): Builder => $either
                    ->whereIn('order_id', $rows->pluck('order_id')->unique())
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
     * @param  array{OrderItem, Structure, Structure, list<string>}  $work
     * @param  list<string>  $unreleased
     * @param  list<string>  $files
     */
    private function item(array $work, array $unreleased, array $files): CoreOrderItem
    {
        [$row, $before, $after, $broken] = $work;
        $from = $row->base?->effective_from;
        $code = self::baseCode($row);
        $released = $row->item->released;

        return new CoreOrderItem(
            number: $row->item->number,
            outcome: $row->outcome,
            disposition: $row->disposition,
            baseRevision: $code,
            // Once released, the order's own revision is the newest; nothing has moved on then.
            latestRevision: $row->order_id === $released?->order_id ? $code : $released?->code,
            baseEffectiveFrom: $from === null ? null : Day::parse($from),
            before: $before,
            after: $after,
            unreleased: $unreleased,
            brokenEdits: $broken,
            files: $files,
            sequence: $this->sequences->of($row->item),
        );
    }
}
