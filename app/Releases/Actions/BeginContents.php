<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\Iteration;
use App\Orders\Models\OrderItem;
use App\Structures\Models\Content;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Revision\RevisionStatus;

/**
 * The rows that become the released ones: what was begun of a first one, or new ones, in review. What they say is written anew. Asked and
 * written a fixed number of times, however many the order releases.
 */
final readonly class BeginContents
{
    private const BEGUN = [RevisionStatus::InWork, RevisionStatus::InReview];

    private const AGAIN = <<<'SQL'
    UPDATE contents c SET code = n.code, status = 'in_review', order_id = n.order_id, reason = n.reason, iteration = n.iteration,
        created_at = n.created_at
    FROM jsonb_to_recordset(?::jsonb) AS n (id bigint, code text, order_id bigint, reason text, iteration integer, created_at timestamptz)
    WHERE c.id = n.id
    SQL;

    /** @return array<array-key, Content> by subject, in the order of the plan */
    public static function of(ChangeOrder $order, ReleasePlan $plan, CarbonImmutable $now): array
    {
        $rows = $order->items->keyBy(static fn(OrderItem $row): string => $row->item->number)->all();
        $iterations = self::iterations($order);
        $begun = self::inWork($order);
        $new = $again = [];
        foreach ($plan->contents as $one) {
            $row = $rows[$one->subject->item];
            $says = [
                'code' => $one->revision,
                'order_id' => $order->id,
                // As the first of the languages has it; sheets tell it in theirs.
                'reason' => $row->doneIn(config()->string('orthotaxis.languages.0'), $order->title),
                'iteration' => max(1, $iterations[(string) $one->subject]),
                'created_at' => (string) $now,
            ];
            $content = $begun[(string) $one->subject] ?? null;
            if ($content === null) {
                $new[] = ['item_id' => $row->item_id, 'kind' => $one->subject->kind, 'plant' => $one->subject->plant, ...$says] + [
                    'status' => RevisionStatus::InReview,
                ];
            } else {
                $again[] = ['id' => $content->id, ...$says];
            }
        }
        foreach (array_chunk($new, 1_000) as $some) {
            Content::query()->insert($some);
        }
        $again === [] || DB::update(self::AGAIN, [json_encode($again, JSON_THROW_ON_ERROR)]);
        $begun = self::inWork($order);
        $contents = [];
        foreach ($plan->contents as $one) {
            $contents[(string) $one->subject] = $begun[(string) $one->subject];
        }

        return $contents;
    }

    /** @return array<array-key, Content> of the items of an order, by subject; there is one of each at most */
    private static function inWork(ChangeOrder $order): array
    {
        $numbers = $order->items->pluck('item.number', 'item_id')->all();

        return Content::query()
            ->whereIn('item_id', array_keys($numbers))
            ->whereIn('status', self::BEGUN)
            ->get()
            ->keyBy(static fn(Content $one): string => (string) new Subject($one->kind, $numbers[$one->item_id], $one->plant))
            ->all();
    }

    /** @return array<array-key, int> how often the work on each subject was saved, by subject */
    private static function iterations(ChangeOrder $order): array
    {
        $works = $order->items->flatMap(static fn(OrderItem $row): Collection => $row->works->toBase());
        $saved = Iteration::query()
            ->toBase()
            ->whereIn('work_id', $works->pluck('id'))
            ->groupBy('work_id')
            ->selectRaw('work_id, count(*) AS many');
        $many = $saved->pluck('many', 'work_id')->all();
        $iterations = [];
        foreach ($works as $work) {
            $iterations[(string) $work->subject()] = (int) ($many[$work->id] ?? 0);
        }

        return $iterations;
    }
}
