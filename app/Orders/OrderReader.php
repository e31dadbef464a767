<?php

declare(strict_types=1);

namespace App\Orders;

use App\Documents\FileRole;
use App\Documents\Models\ItemFile;
use App\Orders\Contents\ContentKind;
use App\Orders\Contents\ContentKinds;
use App\Orders\Editing\EditorsOfOrders;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\Models\FollowUp;
use App\Orders\Models\OrderItem;
use App\Orders\Models\OrderWaiver;
use App\Orders\Models\WorkRecord;
use App\Paths\Models\Signature;
use App\Structures\Models\Content as ContentRecord;
use App\Structures\Models\Revision;
use App\Structures\RevisionSequences;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as SupportCollection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Base;
use Orthotaxis\Core\Change\FollowsLater;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem as CoreOrderItem;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\TiedOrder;
use Orthotaxis\Core\Change\Waiver;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Task\Editors;

/** Brings orders with their items, works and edits from the database to core. */
final readonly class OrderReader
{
    private const RELATIONS = [
        'items.item.category',
        'items.item.everReleased',
        'items.works.base',
        'items.works.edits',
        'signatures',
        'followUps.under',
        'followUps.item',
        'parent',
        'subordinates',
        'waivers',
    ];

    public function __construct(private ContentKinds $kinds, private RevisionSequences $sequences) {}

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
        $works = $this->works($rows->flatMap(static fn(OrderItem $row): Collection => $row->works)->keyBy('id'));
        $sheets = self::sheets($rows);
        $editors = app(EditorsOfOrders::class)->many($orders);

        return $orders
            ->keyBy('id')
            ->map(fn(ChangeOrder $order): Order => $this->order($order, $works, $sheets, $editors[$order->id]))
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
                $row->item->setRelation(
                    'released',
                    $row->item->everReleased->first(static fn(Revision $one): bool => $one->status === RevisionStatus::Released),
                );
                $row->works->each(static fn(WorkRecord $work) => $work->setRelation('row', $row));
            }),
        );
    }

    /**
     * @param  SupportCollection<int, WorkRecord>  $records  by id
     * @return array<int, Work> by id
     */
    private function works(SupportCollection $records): array
    {
        $newest = self::newest($records);
        $works = [];
        foreach ($records->groupBy('kind', preserveKeys: true) as $name => $some) {
            $kind = $this->kinds->of((string) $name);
            $bases = $kind->read($some->pluck('base_id')->filter()->unique()->values()->all());
            $ofKind = $some
                ->map(
                    fn(WorkRecord $record): Work => Work::on(
                        $record->subject(),
                        $this->base($record, $newest[self::subject($record->row->item_id, $record->kind, $record->plant)] ?? null),
                        $bases[$record->base_id] ?? $kind->none(),
                        self::edits($record, $kind),
                        $record->row->order->editor_id,
                    ),
                )
                ->all();
            $works += $ofKind;
        }
        $lacking = $works;
        foreach ($records->groupBy('kind', preserveKeys: true) as $name => $some) {
            foreach ($this->kinds->of((string) $name)->missing($some, $works) as $id => $missing) {
                $lacking[$id] = $works[$id]->lacking($missing);
            }
        }

        return $lacking;
    }

    /** @return list<Edit> */
    private static function edits(WorkRecord $record, ContentKind $kind): array
    {
        return $record->holding()->map(static fn(EditRecord $edit): Edit => $kind->edit(...$edit->kept()))->values()->all();
    }

    /**
     * @param  SupportCollection<int, WorkRecord>  $records
     * @return array<string, ContentRecord> the content of each subject that was released last
     */
    private static function newest(SupportCollection $records): array
    {
        if ($records->isEmpty()) {
            return [];
        }

        return ContentRecord::query()
            ->where('status', RevisionStatus::Released)
            ->whereIn('item_id', $records->map(static fn(WorkRecord $record): int => $record->row->item_id)->unique())
            ->get()
            ->keyBy(static fn(ContentRecord $content): string => self::subject($content->item_id, $content->kind, $content->plant))
            ->all();
    }

    private static function subject(int $item, string $kind, string $plant): string
    {
        return "{$item} {$kind} {$plant}";
    }

    private function base(WorkRecord $record, ?ContentRecord $newest): Base
    {
        $row = $record->row;
        $base = $record->base;
        $code = $base?->status->isFrozen() === true ? $base->code : null;

        return new Base(
            $code,
            // Once released, the order's own revision is the newest; nothing has moved on then.
            $newest?->order_id === $row->order_id ? $code : $newest?->code,
            $base?->effective_from === null ? null : Day::parse($base->effective_from),
            $this->sequences->of($row->item),
        );
    }

    /**
     * @param  array<int, Work>  $works  by id
     * @param  Collection<int, ItemFile>  $sheets
     */
    private function order(ChangeOrder $order, array $works, Collection $sheets, Editors $editors): Order
    {
        $revised = $order->items->filter(static fn(OrderItem $row): bool => $row->outcome === Outcome::Revise)->keyBy('item_id');
        $sheets = $sheets->filter(
            static fn(ItemFile $file): bool => $revised->has($file->item_id) &&
                ($file->order_id === null || $file->order_id === $order->id),
        );
        $ofItems = $sheets->groupBy('item_id');
        // Whoever brought a sheet that is released with the order has made a part of what is signed.
        $authors = $order->items
            ->flatMap(static fn(OrderItem $row): Collection => $row->works)
            ->flatMap(static fn(WorkRecord $work): SupportCollection => $work->holding()->pluck('author_id'))
            ->merge($sheets->pluck('person_id')->filter());

        return new Order(
            number: $order->number,
            state: $order->state,
            author: $order->author_id,
            editor: $order->editor_id,
            signer: $order->signer_id,
            effectiveOn: $order->effective_on === null ? null : Day::parse($order->effective_on),
            items: $order->items
                ->map(fn(OrderItem $row): CoreOrderItem => $this->item($row, $works, $ofItems->get($row->item_id, new Collection())))
                ->values()
                ->all(),
            editAuthors: $authors->unique()->values()->all(),
            signedDigest: $order->signatures->first(
                static fn(Signature $signature): bool => $signature->meaning === 'signed' && !$signature->void,
            )?->digest,
            waivers: $order->waivers->map(static fn(OrderWaiver $one): Waiver => $one->toCore())->values()->all(),
            later: $order->followUps->map(self::later(...))->values()->all(),
            parent: $order->parent === null ? null : self::tied($order->parent, $order->with_parent),
            subordinates: $order->subordinates
                ->map(static fn(ChangeOrder $one): TiedOrder => self::tied($one, $one->with_parent))
                ->values()
                ->all(),
            tasksBeforeReview: $editors->tasks,
            openBeforeRelease: app(EditorsOfOrders::class)->openBeforeRelease($order),
        );
    }

    private static function tied(ChangeOrder $one, bool $together): TiedOrder
    {
        return new TiedOrder($one->number, $one->state, $one->effective_on === null ? null : Day::parse($one->effective_on), $together);
    }

    private static function later(FollowUp $one): FollowsLater
    {
        return new FollowsLater(
            $one->item->number,
            $one->plant,
            order: $one->under->number,
            by: Day::parse($one->by_day),
            reason: $one->reason,
        );
    }

    /**
     * @param  array<int, Work>  $works  by id
     * @param  Collection<int, ItemFile>  $sheets
     */
    private function item(OrderItem $row, array $works, Collection $sheets): CoreOrderItem
    {
        $code = $row->baseCode();
        $released = $row->item->released;

        return new CoreOrderItem(
            number: $row->item->number,
            outcome: $row->outcome,
            disposition: $row->disposition,
            base: new Base(
                $code,
                $released?->order_id === $row->order_id ? $code : $released?->code,
                sequence: $this->sequences->of($row->item),
            ),
            works: $row->works
                // What was begun and undone again, or whose edits come to nothing, and is no revision of the item itself, is no work:
                // nothing of it would be released.
                ->filter(
                    static fn(WorkRecord $work): bool => $work->kind === Subject::ENGINEERING
                        ? $row->outcome === Outcome::Revise
                        : count($works[$work->id]->changes()) > 0 || $works[$work->id]->broken !== [],
                )
                ->map(static fn(WorkRecord $work): Work => $works[$work->id])
                ->values()
                ->all(),
            files: $sheets->map(static fn(ItemFile $file): string => "{$file->role->value} {$file->name} {$file->sha256}")->values()->all(),
            done: $row->done,
        );
    }

    /**
     * Data sheets and pictures are no part of what is signed.
     *
     * @param  SupportCollection<int, OrderItem>  $rows
     * @return Collection<int, ItemFile> the sheets and models that orders bring to these items, and drafts that belong to no order yet
     */
    private static function sheets(SupportCollection $rows): Collection
    {
        return ItemFile::query()
            ->whereIn('role', FileRole::released())
            ->whereIn('item_id', $rows->where('outcome', Outcome::Revise)->pluck('item_id')->unique())
            ->where(
                static fn(Builder $either): Builder => $either
                    ->whereIn('order_id', $rows->pluck('order_id')->unique())
                    ->orWhere(static fn(Builder $draft): Builder => $draft->whereNull('order_id')->whereNull('revision_id')),
            )
            ->orderBy('id')
            ->get();
    }
}
