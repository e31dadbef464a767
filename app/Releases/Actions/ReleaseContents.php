<?php

declare(strict_types=1);

namespace App\Releases\Actions;

use App\Orders\Contents\ContentKinds;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Releases\Events\RevisionReleased;
use App\Structures\Models\Content;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Release\ReleasePlan;
use Orthotaxis\Core\Revision\RevisionStatus;

/**
 * Makes the contents of a release plan true, whatever their kind: what they say, files, status, dates. In a fixed number of statements,
 * however many there are.
 */
final readonly class ReleaseContents
{
    private const DRAWN = <<<'SQL'
    UPDATE contents c SET status = 'in_review', order_id = ?, code = r.code FROM contents r
    WHERE r.id = ANY (?::bigint[]) AND c.builds_id = r.id AND c.status IN ('in_work', 'in_review') AND NOT c.id = ANY (?::bigint[])
    RETURNING c.id
    SQL;

    private const SUPERSEDE = <<<'SQL'
    UPDATE contents old SET status = 'superseded', effective_to = ? FROM contents new
    WHERE new.id = ANY (?::bigint[]) AND old.status = 'released' AND (old.item_id, old.kind, old.plant) = (new.item_id, new.kind, new.plant)
    SQL;

    // Brought under the order, or before anything of the item was released.
    private const FILES = <<<'SQL'
    UPDATE item_files f SET revision_id = c.id, order_id = :order FROM contents c
    WHERE c.id = ANY (:contents::bigint[]) AND f.item_id = c.item_id AND f.revision_id IS NULL AND (f.order_id = :either OR f.order_id IS NULL)
    SQL;

    public function __construct(private ContentKinds $kinds) {}

    public function release(Person $by, ChangeOrder $order, ReleasePlan $plan, CarbonImmutable $now): void
    {
        // All are begun first: what they say may refer to each other.
        $begun = BeginContents::of($order, $plan, $now);
        $ofKinds = $engineering = [];
        foreach ($plan->contents as $one) {
            $id = $begun[(string) $one->subject]->id;
            $ofKinds[$one->subject->kind][$id] = $one->content;
            $one->subject->isEngineering() && ($engineering[] = $id);
        }
        foreach ($ofKinds as $kind => $contents) {
            $this->kinds->of($kind)->write($contents);
        }
        $ids = array_values(array_map(static fn(Content $content): int => $content->id, $begun));
        $day = (string) $plan->effectiveFrom;
        self::makeTrue(
            [...$ids, ...self::drawnWith($order, $engineering, $ids)],
            [
                'released_at' => $now,
                'released_by' => $by->id,
                'effective_from' => $day,
            ],
        );
        DB::update(self::FILES, ['order' => $order->id, 'contents' => self::list($engineering), 'either' => $order->id]);
        foreach ($plan->contents as $one) {
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

    /**
     * What was drawn or planned for the revisions, and is no subject of the order itself, is released with them.
     *
     * @param  list<int>  $engineering  ids of the revisions
     * @param  list<int>  $begun  ids of all that the order releases
     * @return list<int> ids
     */
    private static function drawnWith(ChangeOrder $order, array $engineering, array $begun): array
    {
        $drawn = DB::select(self::DRAWN, [$order->id, self::list($engineering), self::list($begun)]);

        return array_column($drawn, 'id');
    }

    /**
     * What they supersede makes way first: two revisions never hold on one day.
     *
     * @param  list<int>  $ids
     * @param  array<string, mixed>  $released
     */
    private static function makeTrue(array $ids, array $released): void
    {
        DB::update(self::SUPERSEDE, [$released['effective_from'], self::list($ids)]);
        Content::query()
            ->whereIntegerInRaw('id', $ids)
            ->update(['status' => RevisionStatus::Released] + $released);
    }

    /** @param  list<int>  $ids */
    private static function list(array $ids): string
    {
        return '{' . implode(',', $ids) . '}';
    }
}
