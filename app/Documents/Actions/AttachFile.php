<?php

declare(strict_types=1);

namespace App\Documents\Actions;

use App\Documents\FileRole;
use App\Documents\Models\ItemFile;
use App\Files\FileContent;
use App\Files\StoredFile;
use App\Ledger\Ledger;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Refusal;

/**
 * Attaches a file to an item. A sheet belongs to the coming revision: before the first release anybody who may add items
 * brings it, later only who edits the item under an open order. A data sheet or picture may come at any time.
 */
final readonly class AttachFile
{
    public function __construct(private Ledger $ledger) {}

    /** @throws Refusal when the content cannot be shown, or the item cannot take it now */
    public function attach(Person $by, string $number, FileRole $role, string $path, string $name): ItemFile
    {
        $content = FileContent::of($path);

        return DB::transaction(function () use ($by, $number, $role, $path, $name, $content): ItemFile {
            $item = Item::query()->with('released')->where('number', $number)->lockForUpdate()->firstOrFail();
            $order = $role->isReleased() ? $this->openOrder($by, $item) : null;
            $hash = (string) hash_file('sha256', $path);
            $revision = $role->isReleased() ? null : $item->released?->id;
            if (ItemFile::query()->where('item_id', $item->id)->where('sha256', $hash)->where('role', $role)->where('revision_id', $revision)->where('order_id', $order?->id)->exists()) {
                throw Refusal::at('file', 'The same file is attached already.');
            }
            $file = ItemFile::query()->create([
                'id' => (string) Str::uuid7(), 'item_id' => $item->id, 'revision_id' => $revision, 'order_id' => $order?->id, 'role' => $role,
                'name' => mb_substr($name, 0, 200), 'media_type' => $content->mediaType, 'bytes' => (int) filesize($path), 'sha256' => $hash,
                'file_id' => StoredFile::keep($path), 'person_id' => $by->id, 'brought_at' => CarbonImmutable::now(),
            ]);
            $this->ledger->record($by->login, 'file.attached', $order->number ?? $number, ['item' => $number, 'role' => $role->value, 'name' => $file->name, 'sha256' => $hash]);

            return $file;
        });
    }

    /** Takes a draft away again. What belongs to a revision stays with it. */
    public function takeAway(Person $by, string $number, string $id): void
    {
        DB::transaction(function () use ($by, $number, $id): void {
            $item = Item::query()->with('released')->where('number', $number)->lockForUpdate()->firstOrFail();
            $file = ItemFile::query()->where('item_id', $item->id)->findOrFail($id);
            if ($file->revision_id !== null) {
                throw Refusal::at('file', "{$file->name} belongs to a released revision and stays with it.");
            }
            if ($file->role->isReleased()) {
                $this->mayRemove($by, $item, $file);
            }
            $file->delete();
            $this->ledger->record($by->login, 'file.taken_away', $number, ['item' => $number, 'name' => $file->name, 'sha256' => $file->sha256]);
        });
    }

    /** A draft belongs to one order, whose editor alone removes it; one that came before any order had the item is everybody's who may add. */
    private function mayRemove(Person $by, Item $item, ItemFile $file): void
    {
        if ($file->order_id === null) {
            $held = $this->revising($item)->first(static fn (ChangeOrder $order): bool => in_array($order->state, [OrderState::InReview, OrderState::Signed], true));
            if ($held !== null) {
                throw Refusal::at('file', "{$item->number} is locked under {$held->number}.");
            }
            $this->openOrder($by, $item);

            return;
        }
        $order = ChangeOrder::hold(ChangeOrder::query()->findOrFail($file->order_id)->number);
        if ($order->state !== OrderState::Revising) {
            throw Refusal::at('file', "{$item->number} is locked under {$order->number}.");
        }
        OrderPolicy::check(OrderAct::Revise, $by, $order, 'file');
    }

    /** @return Collection<int, ChangeOrder> open orders that give the item a new revision */
    private function revising(Item $item): Collection
    {
        return ChangeOrder::query()->whereHas('items', static fn ($rows) => $rows->where('item_id', $item->id)->where('outcome', Outcome::Revise->value))
            ->whereIn('state', [OrderState::Planning->value, OrderState::Revising->value, OrderState::InReview->value, OrderState::Signed->value])->orderBy('id')->get();
    }

    /** The order under which the coming revision is worked on; null when nothing of the item is released and no order has it yet. */
    private function openOrder(Person $by, Item $item): ?ChangeOrder
    {
        $orders = $this->revising($item);
        $mine = $orders->first(static fn (ChangeOrder $order): bool => $order->state === OrderState::Revising && $order->editor_id === $by->id);
        if ($mine !== null) {
            // Held, so that it is not sent to review at the same moment.
            return ChangeOrder::hold($mine->number);
        }
        $held = $orders->first(static fn (ChangeOrder $order): bool => $order->state !== OrderState::Planning);
        if ($held !== null) {
            throw Refusal::at('file', $held->state === OrderState::Revising ? "{$held->number} names another person to edit {$item->number}." : "{$item->number} is locked under {$held->number}.");
        }
        if ($item->released !== null) {
            throw Refusal::at('file', "{$item->number} is released as revision {$item->released->code}. Its sheet changes under an order only.");
        }

        return null;
    }
}
