<?php

declare(strict_types=1);

namespace App\Verification;

use App\Outgoing\Models\Delivery;
use App\Outgoing\Models\DeliveryState;
use App\Outgoing\Models\Purpose;
use App\People\Ability;
use App\People\Models\Person;
use App\Releases\Models\Handover;
use App\Releases\Models\HandoverEntry;
use App\Verification\Data\DifferencePage;
use App\Verification\Data\DifferenceRow;
use App\Verification\Data\HandoverHealth;
use App\Verification\Data\UnsettledHandover;
use App\Verification\Data\VerificationRow;
use App\Verification\Models\PlanningDifference;
use App\Verification\Models\Verification;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** How it stands with what is handed over: what planning has not taken, and what it has otherwise. */
final readonly class HandoverHealthReader
{
    private const AT_ONCE = 200;

    public function health(Person $person): HandoverHealth
    {
        $last = Verification::ofEverything();
        $some = Handover::query()
            ->with(['order', 'latestMessage'])
            ->where('state', '<>', 'taken')
            ->withCount(['entries', 'entries as refused_count' => static fn(Builder $rows): Builder => $rows->where('answer', 'refused')])
            ->addSelect([
                'first_reason' => HandoverEntry::query()
                    ->select('reason')
                    ->whereColumn('handover_id', 'handovers.id')
                    ->where('answer', 'refused')
                    ->orderBy('number')
                    ->limit(1),
            ]);
        $some->orderBy('written_at')->orderBy('id');
        /** @var Collection<int, Handover> $handovers */
        $handovers = $some->get();

        return new HandoverHealth(
            handovers: array_values($handovers->map(static fn(Handover $one): UnsettledHandover => UnsettledHandover::of($one))->all()),
            differing: PlanningDifference::query()->count(),
            verification: $last === null ? null : VerificationRow::of($last),
            verifying: Verification::isUnderWay(),
            files_undelivered: Delivery::query()
                ->where('state', '<>', DeliveryState::Delivered)
                // Nothing goes to what is retired.
                ->whereHas('channel', static fn(Builder $one): Builder => $one->where('purpose', Purpose::Files)->where('retired', false))
                ->count(),
            may: $person->mayDo(Ability::SendHandover),
        );
    }

    /** @param  array{order?: string, item?: string, mover?: string}  $asked */
    public function differences(array $asked, int $from): DifferencePage
    {
        $some = PlanningDifference::query()
            ->when(
                ($asked['order'] ?? '') !== '',
                static fn(Builder $rows): Builder => $rows->whereRelation('order', 'number', $asked['order'] ?? ''),
            )
            ->when(($asked['item'] ?? '') !== '', static fn(Builder $rows): Builder => $rows->where('item', $asked['item'] ?? ''))
            ->when(($asked['mover'] ?? '') !== '', static fn(Builder $rows): Builder => $rows->where('mover', $asked['mover'] ?? ''));

        $page = (clone $some)
            ->with(['order', 'entry'])
            ->offset($from)
            ->limit(self::AT_ONCE);
        $page->orderBy('item')->orderBy('key');
        /** @var Collection<int, PlanningDifference> $rows */
        $rows = $page->get();

        return new DifferencePage(
            total: $some->count(),
            from: $from,
            rows: array_values($rows->map(static fn(PlanningDifference $row): DifferenceRow => DifferenceRow::of($row))->all()),
        );
    }
}
