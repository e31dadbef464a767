<?php

declare(strict_types=1);

namespace App\Verification\Actions;

use App\Days\Today;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Releases\Actions\WriteHandover;
use App\Verification\Events\PlanningCorrected;
use App\Verification\Models\PlanningDifference;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Verification\CopyDifference;
use Orthotaxis\Core\Verification\Mover;

/** Hands over what makes planning's copy say what holds here: one hand-over for each day from which the revisions hold. */
final readonly class CorrectPlanning
{
    private const DAYS = "
        SELECT d.id, (SELECT c.effective_from FROM contents c JOIN items i ON i.id = c.item_id
            WHERE i.number = d.item AND c.kind = d.structure AND c.plant = d.plant AND c.code = d.revision AND c.status IN ('released', 'superseded', 'obsolete')
            LIMIT 1) AS day
        FROM planning_differences d WHERE d.id = ANY (?::bigint[])";

    public function __construct(private WriteHandover $handovers, private Ledger $ledger) {}

    /**
     * @param  list<int>  $ids  of differences
     * @return list<string> the names of the hand-overs
     *
     * @throws Refusal when one does not differ any more, or is on its way
     */
    public function __invoke(Person $by, array $ids): array
    {
        return $this->ledger->together(function () use ($by, $ids): array {
            $some = PlanningDifference::query()->whereIntegerInRaw('id', $ids)->lockForUpdate();
            $some->orderBy('key');
            /** @var Collection<int, PlanningDifference> $rows */
            $rows = $some->get();
            if ($rows->count() < count(array_unique($ids))) {
                throw Refusal::at('ids', 'Some of them do not differ any more, or were found anew. Look again.');
            }
            if ($rows->contains('mover', Mover::Here)) {
                throw Refusal::at('ids', 'Some of them are on their way to planning. Wait for its answer, or resend the hand-over.');
            }
            $days = collect(DB::select(self::DAYS, ['{' . implode(',', $rows->modelKeys()) . '}']))->pluck('day', 'id');
            $groups = $rows->groupBy(static fn(PlanningDifference $row): string => (string) ($days[$row->id] ?? Today::day()));
            $names = [];
            foreach ($groups as $day => $some) {
                /** @var non-empty-list<CopyDifference> $differences */
                $differences = array_values($some->map(static fn(PlanningDifference $row): CopyDifference => $row->difference())->all());
                $handover = $this->handovers->correct(
                    (string) $day,
                    self::title($some->pluck('item')->unique()->values()->all()),
                    $differences,
                );
                event(
                    new PlanningCorrected($by->login, $handover->name, $some->count(), array_values($some->pluck('item')->unique()->all())),
                );
                $names[] = $handover->name;
            }

            return $names;
        });
    }

    /** @param  list<string>  $items */
    private static function title(array $items): string
    {
        return 'Correction of ' . (count($items) > 3 ? count($items) . ' items' : implode(', ', $items));
    }
}
