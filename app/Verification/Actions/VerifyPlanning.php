<?php

declare(strict_types=1);

namespace App\Verification\Actions;

use App\Days\Today;
use App\Ledger\Ledger;
use App\Planning\PlanningGateway;
use App\Planning\PlanningSilent;
use App\Verification\CopyPart;
use App\Verification\Events\PlanningVerified;
use App\Verification\KeptDifferences;
use App\Verification\Models\PlanningDifference;
use App\Verification\Models\Verification;
use App\Verification\Models\VerificationState;
use App\Verification\OurCopy;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Verification\CopyComparison;

/**
 * Reads planning's own copy back, part by part, and keeps what differs from what holds here. When planning is silent midway, what was
 * compared before stays, and of the rest what was known.
 */
final readonly class VerifyPlanning
{
    /** Items of which planning is asked at a time. */
    private const AT_ONCE = 500;

    public function __construct(
        private PlanningGateway $planning,
        private OurCopy $ours,
        private KeptDifferences $kept,
        private Ledger $ledger,
    ) {}

    public function __invoke(int $id): void
    {
        $run = Verification::query()->with('order')->findOrFail($id);
        if ($run->state !== VerificationState::Waiting) {
            return;
        }
        $today = (string) Today::day();
        $parts = $this->parts($run, $today);
        $run->update(['state' => VerificationState::Running, 'started_at' => CarbonImmutable::now(), 'parts' => count($parts)]);
        try {
            foreach ($parts as $part) {
                if (!$this->goesOn($run)) {
                    return;
                }
                $this->compare($run, $part, $today);
            }
        } catch (PlanningSilent | Refusal $fault) {
            $run->update([
                'state' => VerificationState::Silent,
                'fault' => mb_substr($fault->getMessage(), 0, 500),
                'ended_at' => CarbonImmutable::now(),
            ]);

            return;
        }
        $this->ledger->together(static function () use ($run): void {
            $differing = PlanningDifference::query()->where('verification_id', $run->id)->count();
            $run->update(['state' => VerificationState::Done, 'ended_at' => CarbonImmutable::now(), 'differing' => $differing]);
            event(new PlanningVerified($run->order->number ?? 'planning', $run->compared, $differing, $run->items));
        });
    }

    /** @return list<array{\Closure(): CopyPart, list<string>}> what is compared, and of which items; none: of all */
    private function parts(Verification $run, string $today): array
    {
        if ($run->items === null) {
            return array_map(static fn(\Closure $part): array => [$part, []], $this->ours->parts($today));
        }

        return array_map(
            fn(array $some): array => [fn(): CopyPart => $this->ours->of($some, $today), $some],
            array_chunk($run->items, self::AT_ONCE),
        );
    }

    /** @param  array{\Closure(): CopyPart, list<string>}  $part */
    private function compare(Verification $run, array $part, string $today): void
    {
        [$read, $items] = $part;
        $ours = $read();
        $theirs = $this->planning->copy($ours->from, $ours->before, $today, $items);
        $this->kept->keep($run, $ours, $items, CopyComparison::of($ours->text, $theirs));
        $run->update(['parts_done' => $run->parts_done + 1, 'compared' => $run->compared + $ours->rows]);
    }

    /** Whether nobody has cancelled it. */
    private function goesOn(Verification $run): bool
    {
        return Verification::query()->where('id', $run->id)->value('state') === VerificationState::Running;
    }
}
