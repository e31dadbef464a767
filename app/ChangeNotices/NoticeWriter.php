<?php

declare(strict_types=1);

namespace App\ChangeNotices;

use App\ChangeNotices\Data\NoticeContent;
use App\ChangeNotices\Data\NoticeItem;
use App\ChangeNotices\Data\NoticeLater;
use App\ChangeNotices\Data\NoticeReason;
use App\ChangeNotices\Data\NoticeSheet;
use App\ChangeNotices\Data\NoticeSignature;
use App\ChangeNotices\Data\NoticeSubject;
use App\ChangeNotices\Models\ChangeNotice;
use App\Documents\FileRole;
use App\Documents\Models\ItemFile;
use App\Orders\Data\WaiverRow;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\FollowUp;
use App\Orders\OrderView;
use App\Paths\Models\Signature;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Vocabulary\ChoiceList;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Structure\HasLines;

/** Writes what the notice of a released order says. */
final readonly class NoticeWriter
{
    /**
     * @param  list<string>  $products  numbers of what is sold and has any of it in it
     * @param  string  $releasedBy  name
     */
    public static function write(ChangeOrder $order, Order $core, array $products, string $releasedBy): NoticeContent
    {
        $works = $core->works();
        $titles = self::titles($works, $products);
        $reasons = ChoiceList::Reason->names();

        return new NoticeContent(
            number: ChangeNotice::numberFor($order->number),
            order: $order->number,
            title: $order->title,
            description: self::description($order),
            priority: $order->priority,
            effective_on: $order->effective_on,
            released_at: $order->released_at?->toIso8601String() ?? throw new \LogicException("{$order->number} is not released."),
            released_by: $releasedBy,
            reasons: array_values(
                $order->requests->map(static fn(ChangeRequest $one): NoticeReason => NoticeReason::of($one, $reasons))->all(),
            ),
            items: array_map(NoticeItem::of(...), OrderView::items($order, $core)),
            subjects: array_map(static fn(Work $work): NoticeSubject => NoticeSubject::of($work, $titles), $works),
            later: array_values($order->followUps->map(static fn(FollowUp $one): NoticeLater => NoticeLater::of($one))->all()),
            products: array_map(static fn(string $one): string => trim("{$one} " . ($titles[$one] ?? '')), $products),
            sheets: self::sheets($order),
            signatures: array_values(
                $order->signatures
                    ->where('meaning', 'signed')
                    ->where('void', false)
                    ->sortBy('id')
                    ->map(static fn(Signature $one): NoticeSignature => NoticeSignature::of($one))
                    ->all(),
            ),
            waivers: array_values($order->waivers->map(WaiverRow::of(...))->all()),
        );
    }

    /** Nothing where it repeats what its requests say, as it does until somebody writes it anew. */
    private static function description(ChangeOrder $order): string
    {
        $said = $order->requests->map(static fn(ChangeRequest $one): string => "{$one->description}\n{$one->finding}")->implode("\n");
        foreach (preg_split('/\R+/', $order->description) ?: [] as $paragraph) {
            if (!str_contains($said, trim($paragraph))) {
                return $order->description;
            }
        }

        return '';
    }

    /** @return list<NoticeSheet> */
    private static function sheets(ChangeOrder $order): array
    {
        return array_values(
            ItemFile::query()
                ->with(['item', 'revision'])
                ->where('role', FileRole::Sheet)
                ->whereHas('revision', static fn($revision) => $revision->where('order_id', $order->id))
                ->orderBy('item_id')
                ->orderBy('id')
                ->get()
                ->map(NoticeSheet::of(...))
                ->all(),
        );
    }

    /**
     * @param  list<Work>  $works
     * @param  list<string>  $more  numbers
     * @return array<string, string> titles of all that they name, by number
     */
    private static function titles(array $works, array $more): array
    {
        $numbers = $more;
        foreach ($works as $work) {
            $numbers[] = $work->subject->item;
            foreach ([$work->before, $work->after] as $content) {
                array_push($numbers, ...$content instanceof HasLines ? $content->lines()->components() : []);
            }
        }

        /** @var array<string, string> */
        return Item::query()->whereIn('number', array_unique($numbers))->pluck('title', 'number')->all();
    }
}
