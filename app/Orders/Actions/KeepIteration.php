<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\IterationKept;
use App\Orders\Events\WentBackToIteration;
use App\Orders\IterationReader;
use App\Orders\Models\EditRecord;
use App\Orders\Models\Iteration;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;

/** Keeps the work on a coming revision as it is now, so that one can come back to it. */
final readonly class KeepIteration
{
    public function __construct(private EditStructure $edits, private IterationReader $iterations, private Ledger $ledger) {}

    /** Refused when nothing was done since the last one. */
    public function keep(Person $by, string $number, string $itemNumber, string $note): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber, $note): void {
            $work = HeldWork::forEditor($by, $number, $itemNumber);
            $last = $work->iterations()->first();
            if ($last !== null && $last->edits === self::held($work) && $last->base_id === $work->base_id) {
                throw Refusal::at('note', 'Nothing was changed since the last iteration.');
            }
            $kept = self::of($work, $by, $note);
            event(new IterationKept($by->login, $number, $itemNumber, $kept->number, $note));
        });
    }

    /**
     * Goes back to how the lines were then. What was done since is not lost: each line that differs is one edit more, and can be undone.
     */
    public function goBack(Person $by, string $number, string $itemNumber, int $iteration, int $seen): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber, $iteration, $seen): void {
            $work = HeldWork::forEditor($by, $number, $itemNumber);
            $this->edits->makeAll($by, $number, $itemNumber, $this->iterations->structure($work, $iteration), $seen);
            event(new WentBackToIteration($by->login, $number, $itemNumber, $iteration));
        });
    }

    /** Keeps the work as it is, when there was any since the last time. */
    public static function ifChanged(WorkRecord $work, Person $by, string $note): void
    {
        $last = $work->iterations()->first();
        if ($last === null || $last->edits !== self::held($work) || $last->base_id !== $work->base_id) {
            self::of($work, $by, $note);
        }
    }

    private static function of(WorkRecord $work, Person $by, string $note): Iteration
    {
        return $work->iterations()->create([
            'number' => (int) $work->iterations()->max('number') + 1,
            'note' => $note,
            'base_id' => $work->base_id,
            'edits' => self::held($work),
            'person_id' => $by->id,
            'saved_at' => CarbonImmutable::now(),
        ]);
    }

    /** @return list<int> the numbers of the edits that hold now */
    private static function held(WorkRecord $work): array
    {
        return $work->holding()->map(static fn(EditRecord $edit): int => $edit->number)->values()->all();
    }
}
