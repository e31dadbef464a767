<?php

declare(strict_types=1);

namespace App\Verification\Actions;

use App\Days\Today;
use App\Ledger\Ledger;
use App\Planning\PlanningGateway;
use App\Planning\PlanningSilent;
use App\Verification\DigestPart;
use App\Verification\Events\PlanningVerified;
use App\Verification\KeptDifferences;
use App\Verification\Models\PlanningDifference;
use App\Verification\Models\Verification;
use App\Verification\Models\VerificationState;
use App\Verification\OurCopy;
use App\Verification\OurDigests;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Verification\CopyComparison;
use Orthotaxis\Core\Verification\CopyDigests;

/**
 * Reads planning's own copy back and keeps what differs from what holds here. Of everything, digests are compared first, and only of what
 * differs in them the rows are read. When planning is silent midway, what was compared before stays, and of the rest what was known.
 */
final readonly class VerifyPlanning
{
    /** Items of which rows are compared at a time. */
    private const AT_ONCE = 500;

    /** Parts for which planning is asked at the same time. */
    private const TOGETHER = 3;

    public function __construct(
        private PlanningGateway $planning,
        private OurCopy $ours,
        private OurDigests $digests,
        private KeptDifferences $kept,
        private Ledger $ledger,
    ) {}

    public function __invoke(int $id): void
    {
        $run = Verification::query()->with('order')->findOrFail($id);
        if ($run->state !== VerificationState::Waiting) {
            return;
        }
        $run->update(['state' => VerificationState::Running, 'started_at' => CarbonImmutable::now()]);
        try {
            if (!$this->compare($run, (string) Today::day())) {
                return;
            }
        } catch (PlanningSilent | Refusal $fault) {
            $run->update([
                'state' => VerificationState::Silent,
                'fault' => mb_substr($fault->getMessage(), 0, 500),
                'ended_at' => CarbonImmutable::now(),
            ]);

            return;
        }
        $this->ledger->together(function () use ($run): void {
            $run->items === null && $this->kept->forget($run);
            $differing = PlanningDifference::query()->where('verification_id', $run->id)->count();
            $run->update(['state' => VerificationState::Done, 'ended_at' => CarbonImmutable::now(), 'differing' => $differing]);
            event(new PlanningVerified($run->order->number ?? 'planning', $run->compared, $differing, $run->items));
        });
    }

    /** @return bool false: somebody has cancelled it */
    private function compare(Verification $run, string $today): bool
    {
        $items = $run->items;
        if ($items === null) {
            // What was released since the last time has no digest yet.
            if (!$this->goesOn($run, $this->digests->lacking($today))) {
                return false;
            }
            $items = $parts = [];
            foreach (array_chunk($this->digests->parts($today), self::TOGETHER) as $some) {
                $parts[] = function () use ($run, $some, $today, &$items): void {
                    array_push($items, ...$this->differing($some, $today));
                    $run->compared += array_sum(array_column($some, 'rows'));
                };
            }
            if (!$this->goesOn($run, $parts)) {
                return false;
            }
        }
        $parts = array_map(
            fn(array $some): \Closure => fn() => $this->compareRows($run, $some, $today),
            array_chunk(array_chunk(array_values(array_unique($items)), self::AT_ONCE), self::TOGETHER),
        );

        return $this->goesOn($run, $parts);
    }

    /**
     * @param  list<DigestPart>  $parts
     * @return list<string> items of which a revision differs
     */
    private function differing(array $parts, string $today): array
    {
        $asked = array_map(static fn(DigestPart $one): array => ['from' => $one->from, 'before' => $one->before], $parts);
        $differing = [];
        foreach ($this->planning->digests($asked, $today) as $at => $theirs) {
            array_push($differing, ...CopyDigests::differing($parts[$at]->text, $theirs));
        }

        return $differing;
    }

    /** @param  list<list<string>>  $parts  items */
    private function compareRows(Verification $run, array $parts, string $today): void
    {
        foreach ($this->planning->copy($parts, $today) as $at => $theirs) {
            $ours = $this->ours->of($parts[$at], $today);
            $this->kept->keep($run, $parts[$at], CopyComparison::of($ours, $theirs));
            // Of everything they are counted by their digests.
            if ($run->items !== null && $ours !== '') {
                $run->compared += substr_count($ours, "\n") + 1;
            }
        }
    }

    /**
     * One after the other, each told when it is done.
     *
     * @param  list<\Closure(): void>  $parts
     * @return bool false: somebody has cancelled it
     */
    private function goesOn(Verification $run, array $parts): bool
    {
        $run->update(['parts' => $run->parts + count($parts)]);
        foreach ($parts as $part) {
            if (Verification::query()->where('id', $run->id)->value('state') !== VerificationState::Running) {
                return false;
            }
            $part();
            // Answers over HTTP hold each other: megabytes that nobody needs any more.
            gc_collect_cycles();
            $run->update(['parts_done' => $run->parts_done + 1]);
        }

        return true;
    }
}
