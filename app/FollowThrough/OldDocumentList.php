<?php

declare(strict_types=1);

namespace App\FollowThrough;

use App\FollowThrough\Data\OldDocumentPage;
use App\FollowThrough\Data\OldDocumentRow;
use App\FollowThrough\Models\OldDocument;
use App\Orders\Models\ChangeOrder;
use App\People\Ability;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\FollowThrough\OldState;

/** What in planning still names what an order replaced, what is not seen to first. */
final readonly class OldDocumentList
{
    private const AT_ONCE = 100;

    /** Minutes after which a reading that has not ended is none any more. */
    private const PATIENCE = 15;

    /** @param  array{state?: string, item?: string, kind?: string, owner?: string}  $asked */
    public function read(Person $person, ChangeOrder $order, array $asked, int $from): OldDocumentPage
    {
        $some = OldDocument::query()
            ->where('order_id', $order->id)
            ->when(($asked['state'] ?? '') !== '', static fn(Builder $rows): Builder => self::inState($rows, $asked['state'] ?? ''))
            ->when(
                ($asked['item'] ?? '') !== '',
                static fn(Builder $rows): Builder => $rows->whereRelation('item', 'number', $asked['item'] ?? ''),
            )
            ->when(($asked['kind'] ?? '') !== '', static fn(Builder $rows): Builder => $rows->where('kind', $asked['kind'] ?? ''))
            ->when(
                ($asked['owner'] ?? '') !== '',
                static fn(Builder $rows): Builder => $rows->whereRelation('owner', 'login', $asked['owner'] ?? ''),
            );
        $counts = DB::table('old_documents')
            ->where('order_id', $order->id)
            ->groupBy('rank')
            ->selectRaw('rank, count(*) AS some')
            ->pluck('some', 'rank');
        [$open, $decided, $seen] = array_map(static fn(OldState $state): int => (int) ($counts[$state->rank()] ?? 0), [
            OldState::Open,
            OldState::Decided,
            OldState::Seen,
        ]);
        $reading = DB::table('old_document_readings')->where('order_id', $order->id)->first();
        $page = (clone $some)
            ->with(['item', 'owner', 'seenBy', 'entry'])
            ->offset($from)
            ->limit(self::AT_ONCE);
        $page->orderByRaw('rank, due NULLS FIRST, id');
        /** @var Collection<int, OldDocument> $rows */
        $rows = $page->get();
        $askedAt = $reading === null ? null : CarbonImmutable::parse($reading->asked_at);
        $read = $reading?->read_at === null ? null : CarbonImmutable::parse($reading->read_at);

        $ofState = match ($asked['state'] ?? '') {
            '' => $open + $decided + $seen,
            'open' => $open,
            'decided' => $decided,
            'seen' => $seen,
            default => $open + $decided,
        };

        return new OldDocumentPage(
            order: $order->number,
            title: $order->title,
            // Counted once where nothing else narrows it.
            total: array_filter([$asked['item'] ?? '', $asked['kind'] ?? '', $asked['owner'] ?? '']) === []
                ? $ofState
                : (clone $some)->count(),
            from: $from,
            rows: array_values($rows->map(static fn(OldDocument $row): OldDocumentRow => OldDocumentRow::of($row))->all()),
            open: $open,
            decided: $decided,
            seen: $seen,
            read_at: $read?->toIso8601String(),
            reading: $askedAt !== null &&
                ($reading->fault ?? '') === '' &&
                ($read === null || $read->isBefore($askedAt)) &&
                $askedAt->isAfter(CarbonImmutable::now()->subMinutes(self::PATIENCE)),
            fault: $reading->fault ?? '',
            may: $order->state === OrderState::Released && $person->mayDo(Ability::SeeToDocuments, $order->number),
            may_tell: $order->state === OrderState::Released && $person->mayDo(Ability::SendHandover, $order->number),
        );
    }

    /**
     * @param  Builder<OldDocument>  $rows
     * @param  string  $state  holding: those that keep the order open
     * @return Builder<OldDocument>
     */
    private static function inState(Builder $rows, string $state): Builder
    {
        $one = OldState::tryFrom($state);

        return $one === null ? $rows->where('rank', '<', OldState::Seen->rank()) : $rows->where('rank', $one->rank());
    }
}
