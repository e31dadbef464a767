<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Documents\Models\ItemFile;
use App\Orders\Contents\ContentKinds;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use App\Releases\Events\RevisionReleased;
use App\Structures\Models\Content;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Release\ContentRelease;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Revision\RevisionStatus;

/** Makes the contents of a release plan true, whatever their kind: what they say, files, status, dates. */
final readonly class ReleaseContents
{
    private const BEGUN = [RevisionStatus::InWork, RevisionStatus::InReview];

    public function __construct(private ContentKinds $kinds) {}

    public function release(Person $by, ChangeOrder $order, ReleasePlan $plan, CarbonImmutable $now): void
    {
        // All are begun first: what they say may refer to each other.
        $begun = [];
        foreach ($plan->contents as $one) {
            $begun[(string) $one->subject] = self::begin($order, $one, $now);
        }
        $day = (string) $plan->effectiveFrom;
        $released = ['released_at' => $now, 'released_by' => $by->id, 'effective_from' => $day];
        foreach ($plan->contents as $one) {
            $content = $begun[(string) $one->subject];
            $this->kinds->of($one->subject->kind)->write($content->id, $one->content);
            self::makeTrue($content, $released);
            if ($one->subject->isEngineering()) {
                ItemFile::drafts($order->id, [$content->item_id])->update(['revision_id' => $content->id, 'order_id' => $order->id]);
                self::releaseWith($content, $begun, $released);
            }
            event(
                new RevisionReleased(
                    $by->login,
                    $one->subject->item,
                    revision: $one->revision,
                    supersedes: $one->supersedes,
                    order: $order->number,
                    effectiveFrom: $day,
                    kind: $one->subject->kind,
                    plant: $one->subject->plant,
                ),
            );
        }
    }

    /** The row that becomes the released one: what was begun of a first one, or a new one. What it says is written anew. */
    private static function begin(ChangeOrder $order, ContentRelease $one, CarbonImmutable $now): Content
    {
        $row = $order->items->firstOrFail(static fn(OrderItem $row): bool => $row->item->number === $one->subject->item);
        $work = $row->works->firstOrFail(
            static fn(WorkRecord $work): bool => $work->kind === $one->subject->kind && $work->plant === $one->subject->plant,
        );
        $subject = ['item_id' => $row->item_id, 'kind' => $one->subject->kind, 'plant' => $one->subject->plant];
        $content = Content::query()->where($subject)->whereIn('status', self::BEGUN)->first() ?? new Content($subject);
        $content
            ->fill([
                'code' => $one->revision,
                'status' => RevisionStatus::InReview,
                'order_id' => $order->id,
                // As the first of the languages has it; sheets tell it in theirs.
                'reason' => $row->doneIn(config()->string('orthotaxis.languages.0'), $order->title),
                'iteration' => max(1, $work->iterations()->count()),
                'created_at' => $now,
            ])
            ->save();

        return $content;
    }

    /**
     * What was drawn or planned for the revision, and is no subject of the order itself, is released with it.
     *
     * @param  array<string, Content>  $begun  what the order releases
     * @param  array<string, mixed>  $released
     */
    private static function releaseWith(Content $revision, array $begun, array $released): void
    {
        $ids = array_map(static fn(Content $content): int => $content->id, array_values($begun));
        foreach (
            Content::query()->where('builds_id', $revision->id)->whereIn('status', self::BEGUN)->whereNotIn('id', $ids)->get()
            as $content
        ) {
            $content->update(['status' => RevisionStatus::InReview, 'order_id' => $revision->order_id, 'code' => $revision->code]);
            self::makeTrue($content, $released);
        }
    }

    /** @param  array<string, mixed>  $released */
    private static function makeTrue(Content $content, array $released): void
    {
        Content::query()
            ->where(['item_id' => $content->item_id, 'kind' => $content->kind, 'plant' => $content->plant])
            ->where('status', RevisionStatus::Released)
            ->update(['status' => RevisionStatus::Superseded, 'effective_to' => $released['effective_from']]);
        $content->update(['status' => RevisionStatus::Released] + $released);
    }
}
