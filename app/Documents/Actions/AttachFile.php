<?php

declare(strict_types=1);

namespace App\Documents\Actions;

use App\Documents\Events\ItemFileAttached;
use App\Documents\Events\ItemFileTakenAway;
use App\Documents\FileRole;
use App\Documents\Jobs\DrawThumbnail;
use App\Documents\Models\ItemFile;
use App\Documents\RevisionWork;
use App\Files\FileContent;
use App\Files\StoredFile;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Orthotaxis\Core\Refusal;

/**
 * Attaches a file to an item. A sheet or a model belongs to the coming revision: before the first release anybody who may add items
 * brings it, later only who edits the item under an open order. A data sheet or picture may come at any time.
 */
final readonly class AttachFile
{
    public function __construct(private Ledger $ledger, private RevisionWork $work) {}

    /** @throws Refusal when the content cannot be shown, or the item cannot take it now */
    public function attach(Person $by, string $number, FileRole $role, string $path, string $name): ItemFile
    {
        $content = $role === FileRole::Model ? FileContent::model($path) : FileContent::of($path);

        return $this->ledger->together(function () use ($by, $number, $role, $path, $name, $content): ItemFile {
            $item = Item::query()->with('released')->where('number', $number)->lockForUpdate()->firstOrFail();
            $order = $role->isReleased() ? $this->work->of($by, $item) : null;
            $hash = (string) hash_file('sha256', $path);
            $revision = $role->isReleased() ? null : $item->released?->id;
            if (
                ItemFile::query()
                    ->where('item_id', $item->id)
                    ->where('sha256', $hash)
                    ->where('role', $role)
                    ->where('revision_id', $revision)
                    ->where('order_id', $order?->id)
                    ->exists()
            ) {
                throw Refusal::at('file', 'The same file is attached already.');
            }
            $file = ItemFile::query()->create([
                'id' => (string) Str::uuid7(),
                'item_id' => $item->id,
                'revision_id' => $revision,
                'order_id' => $order?->id,
                'role' => $role,
                'name' => mb_substr($name, 0, 200),
                'media_type' => $content->mediaType,
                'bytes' => (int) filesize($path),
                'sha256' => $hash,
                'file_id' => StoredFile::keep($path),
                'person_id' => $by->id,
                'brought_at' => CarbonImmutable::now(),
            ]);
            event(
                new ItemFileAttached(
                    $by->login,
                    $order->number ?? $number,
                    item: $number,
                    role: $role->value,
                    name: $file->name,
                    sha256: $hash,
                ),
            );
            DrawThumbnail::dispatch($file->id);

            return $file;
        });
    }

    /** Takes a draft away again. What belongs to a revision stays with it. */
    public function takeAway(Person $by, string $number, string $id): void
    {
        $this->ledger->together(function () use ($by, $number, $id): void {
            $item = Item::query()->with('released')->where('number', $number)->lockForUpdate()->firstOrFail();
            $file = ItemFile::query()->where('item_id', $item->id)->findOrFail($id);
            if ($file->revision_id !== null) {
                throw Refusal::at('file', "{$file->name} belongs to a released revision and stays with it.");
            }
            if ($file->role->isReleased()) {
                $this->work->mayTakeAway($by, $item, $file->order_id);
            }
            $file->delete();
            event(new ItemFileTakenAway($by->login, $number, $number, $file->name, $file->sha256));
        });
    }
}
