<?php

declare(strict_types=1);

namespace App\Sheets\Actions;

use App\Documents\Models\ItemFile;
use App\Documents\RevisionWork;
use App\Files\StoredFile;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Sheets\Comparing\SheetPages;
use App\Sheets\Events\SheetMarked;
use App\Sheets\Events\SheetUnmarked;
use App\Sheets\Models\SheetMark;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Sheet\SheetSize;

/** Sets marks of change on a draft, and takes them off: whoever may take the draft itself away. */
final readonly class MarkSheet
{
    /** Of one sheet. */
    private const MOST = 200;

    public function __construct(private Ledger $ledger, private RevisionWork $work) {}

    /**
     * @param  array{float, float}|string  $at  left and top in shares of the page, or a zone in the middle of which it is to be
     *
     * @throws Refusal at "file", "page" or "zone"
     */
    public function set(Person $by, ItemFile $file, int $page, array|string $at, string $note): void
    {
        $size = self::size($file, $page);
        [$x, $y] = is_string($at)
            ? $size->middle(strtoupper(trim($at))) ??
                throw Refusal::at(
                    'zone',
                    'There is no such zone on the sheet. It has A1 to ' . $size->zone($size->width, $size->height) . '.',
                )
            : [$at[0] * $size->width, $at[1] * $size->height];
        $this->ledger->together(function () use ($by, $file, $page, $size, $x, $y, $note): void {
            $this->held($by, $file);
            if (SheetMark::query()->where('file_id', $file->id)->count() >= self::MOST) {
                throw Refusal::at('file', 'A sheet has at most ' . self::MOST . ' marks.');
            }
            $mark = SheetMark::query()->create([
                'file_id' => $file->id,
                'page' => $page,
                'left' => round($x / $size->width, 4),
                'top' => round($y / $size->height, 4),
                'zone' => $size->zone($x, $y),
                'note' => $note,
                'person_id' => $by->id,
                'set_at' => CarbonImmutable::now(),
            ]);
            event(
                new SheetMarked($by->login, self::of($file), item: $file->item->number, file: $file->name, zone: $mark->zone, note: $note),
            );
        });
    }

    /** @throws Refusal at "file" */
    public function remove(Person $by, ItemFile $file, int $id): void
    {
        $this->ledger->together(function () use ($by, $file, $id): void {
            $this->held($by, $file);
            $mark = SheetMark::query()->where('file_id', $file->id)->findOrFail($id);
            $mark->delete();
            event(
                new SheetUnmarked(
                    $by->login,
                    self::of($file),
                    item: $file->item->number,
                    file: $file->name,
                    zone: $mark->zone,
                    note: $mark->note,
                ),
            );
        });
    }

    private function held(Person $by, ItemFile $file): void
    {
        $item = Item::query()->with('released')->lockForUpdate()->findOrFail($file->item_id);
        if ($file->refresh()->revision_id !== null) {
            throw Refusal::at('file', "{$file->name} is released: its marks stay as they are.");
        }
        $this->work->mayTakeAway($by, $item, $file->order_id);
    }

    private static function of(ItemFile $file): string
    {
        return $file->order->number ?? $file->item->number;
    }

    private static function size(ItemFile $file, int $page): SheetSize
    {
        $pages = StoredFile::with($file->file_id, static function (string $path) use ($file, $page): array {
            $pages = SheetPages::of($path, $file->media_type);

            return [$pages->count, $page > $pages->count ? null : $pages->size($page)];
        });

        return $pages[1] ??
            throw Refusal::at(
                'page',
                $pages[0] < $page ? "It has no page {$page}." : "{$file->name} cannot be drawn, so nothing can be marked on it.",
            );
    }
}
