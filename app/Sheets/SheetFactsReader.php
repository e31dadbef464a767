<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Days\Today;
use App\Documents\FileRole;
use App\Documents\Models\ItemFile;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Sheets\Models\SheetMark;
use App\Structures\Models\Revision;
use Illuminate\Database\Eloquent\Collection as Models;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Revision\Phase;
use Orthotaxis\Core\Revision\RevisionStatus;

/** Reads what sheets say of themselves today, some at once in a number of queries that does not depend on how many there are. */
final readonly class SheetFactsReader
{
    /**
     * @param  Models<int, ItemFile>  $files
     * @return array<string, SheetFacts> by file
     */
    public function of(Models $files): array
    {
        $files->load(['item', 'revision']);
        $items = $files->pluck('item_id')->unique();
        $revisions = Revision::query()
            ->with('order')
            ->whereIn('item_id', $items)
            ->whereNotIn('status', [RevisionStatus::InWork, RevisionStatus::InReview])
            ->orderBy('effective_from')
            ->orderBy('id')
            ->get()
            ->groupBy('item_id');
        $orders = ChangeOrder::query()
            ->with(['editor', 'signatures.person'])
            ->whereIn('id', $revisions->flatten()->pluck('order_id')->filter()->unique())
            ->get()
            ->keyBy('id');
        $said = OrderItem::query()
            ->whereIn('order_id', $orders->keys())
            ->whereIn('item_id', $items)
            ->get()
            ->keyBy(static fn(OrderItem $row): string => "{$row->order_id} {$row->item_id}");
        $authors = ItemFile::query()
            ->with('person')
            ->whereIn('item_id', $items)
            ->where('role', FileRole::Sheet)
            ->whereNotNull('revision_id')
            ->orderBy('brought_at')
            ->get()
            ->mapWithKeys(static fn(ItemFile $file): array => [(int) $file->revision_id => $file->person->name ?? '']);
        $replaced = self::replaced($items);
        $marks = SheetMark::query()
            ->whereIn('file_id', $files->modelKeys())
            ->orderBy('page')
            ->orderBy('top')
            ->orderBy('left')
            ->get()
            ->groupBy('file_id');
        $facts = [];
        foreach ($files as $file) {
            $all = $revisions[$file->item_id] ?? new Collection();
            $history = [];
            foreach ($all as $one) {
                if ($file->revision === null || $one->effective_from <= $file->revision->effective_from) {
                    $history[] = self::line($one, $orders, $authors, $said["{$one->order_id} {$one->item_id}"] ?? null);
                }
            }
            $facts[$file->id] = self::one(
                $file,
                $all,
                $history,
                $replaced[$file->item_id] ?? '',
                array_values(($marks[$file->id] ?? new Collection())->all()),
            );
        }

        return $facts;
    }

    /**
     * @param  Collection<int, Revision>  $all  of its item, the oldest first
     * @param  list<HistoryLine>  $history
     * @param  list<SheetMark>  $marks
     */
    private static function one(ItemFile $file, Collection $all, array $history, string $replacedBy, array $marks): SheetFacts
    {
        $own = $file->revision;
        $today = Today::day();
        $next = $own === null ? null : $all->first(static fn(Revision $one): bool => $one->effective_from > $own->effective_from);
        $last = $history[count($history) - 1] ?? null;

        return new SheetFacts(
            number: $file->item->number,
            title: $file->item->title,
            revision: $own->code ?? '',
            phase: $own === null ? Phase::InWork : $own->dated()->phase($today),
            day: $today,
            from: $own?->effective_from === null ? null : Day::parse($own->effective_from),
            to: $own?->effective_to === null ? null : Day::parse($own->effective_to)->plusDays(-1),
            next: $next->code ?? $replacedBy,
            nextFrom: $next?->effective_from === null ? null : Day::parse($next->effective_from),
            order: $own === null ? '' : $last->order ?? '',
            signers: $own === null ? [] : $last->signers ?? [],
            history: $history,
            marks: $marks,
        );
    }

    /**
     * @param  Collection<int, ChangeOrder>  $orders
     * @param  Collection<int, string>  $authors  by revision
     */
    private static function line(Revision $one, Collection $orders, Collection $authors, ?OrderItem $said): HistoryLine
    {
        $order = $one->order_id === null ? null : $orders[$one->order_id] ?? null;

        return new HistoryLine(
            revision: $one->code,
            from: $one->effective_from === null ? null : Day::parse($one->effective_from),
            author: $authors[$one->id] ?? ($order->editor->name ?? ''),
            done: $said->done ?? [],
            reason: $one->reason,
            order: $one->order->number ?? '',
            signers: $order === null
                ? []
                : array_values(
                    $order->signatures
                        ->where('meaning', 'signed')
                        ->where('void', false)
                        ->sortBy('id')
                        ->pluck('person.name')
                        ->unique()
                        ->filter(static fn(mixed $name): bool => is_string($name))
                        ->all(),
                ),
        );
    }

    /**
     * @param  Collection<int, int>  $items
     * @return array<int, string> the number that takes the place of an item that is not used any more, by item
     */
    private static function replaced(Collection $items): array
    {
        /** @var array<int, string> */
        return DB::table('item_data')
            ->join('contents', 'contents.id', '=', 'item_data.content_id')
            ->whereIn('contents.item_id', $items)
            ->where('field', 'replaced_by')
            ->whereIn('contents.status', ['released', 'superseded'])
            ->where('contents.effective_from', '<=', (string) Today::day())
            ->orderBy('contents.id')
            ->pluck('value', 'contents.item_id')
            ->all();
    }
}
