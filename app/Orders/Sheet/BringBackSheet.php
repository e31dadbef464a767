<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use App\Files\StoredFile;
use App\Ledger\Ledger;
use App\Orders\Actions\HeldWork;
use App\Orders\Actions\PlanOrder;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Sheet\Data\SheetOutcome;
use App\Orders\Strokes\HeldSubjects;
use App\Orders\Strokes\MakeStroke;
use App\Orders\Strokes\SubjectEdits;
use App\Orders\Subjects\NamedWork;
use App\Orders\WorkContents;
use App\People\Models\Person;
use App\Tables\MarkedTable;
use Orthotaxis\Core\Content\Choice;
use Orthotaxis\Core\Refusal;

/**
 * Takes a sheet of an order in again: what differs from the sheet as it was taken away is done to the lines as they are now, all of it or
 * nothing. What others did since stays; where they did another thing to the same, somebody chooses.
 */
final readonly class BringBackSheet
{
    public function __construct(
        private MakeStroke $strokes,
        private WorkContents $works,
        private PlanOrder $plan,
        private Ledger $ledger,
    ) {}

    /**
     * @param  array<string, Choice>  $choices  by the key of the conflict
     * @param  bool  $keep  false: only says what it would do
     */
    public function in(Person $by, string $number, string $path, array $choices, bool $keep): SheetOutcome
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $read = ReadSheet::of($order, $path);
        try {
            return $this->ledger->together(function () use ($by, $number, $read, $choices, $keep): SheetOutcome {
                $outcome = $this->take($by, $number, $read, $choices);
                if (!$keep || !$outcome->isClean()) {
                    // What it would do is known now; nothing of it stays.
                    throw new OnlyLookedAt($outcome);
                }

                return $outcome;
            });
        } catch (OnlyLookedAt $looked) {
            $outcome = $looked->outcome->notDone();

            return $outcome->faults === [] ? $outcome : $outcome->marked($this->mark($read, $path, $outcome));
        }
    }

    /** @param  array<string, Choice>  $choices */
    private function take(Person $by, string $number, ReadSheet $read, array $choices): SheetOutcome
    {
        $order = HeldWork::openOrder($number);
        $head = SheetHead::of($order, $read->head, $read->sheet->head, $choices);
        $faults = $read->faults + $head->faults;
        $mayEdit = OrderPolicy::refusal(OrderAct::Revise, $by, $order) === null;
        foreach ($this->planned($by, $order, $head) as $name => $reason) {
            $faults[$read->head[$name]->row][$name] = $reason;
        }
        $subjects = array_map(static function (string $key) use ($number): NamedWork {
            [$item, $work] = explode(' ', $key, 2);

            return NamedWork::of($number, $item, $work);
        }, array_combine(array_keys($read->was), array_keys($read->was)));
        $works = HeldSubjects::of($by, $order, array_values($subjects), false);
        $now = $this->works->afterAll(array_values($works));
        $merge = SheetMerge::of($read, $subjects, $works, $now, $choices);
        $mayPlan = OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null;
        if (!$mayEdit && ($merge->wanted !== [] || !$mayPlan)) {
            OrderPolicy::check(OrderAct::Revise, $by, $order, 'editor');
        }
        $all = $keys = [];
        foreach ($merge->edits as $key => $edits) {
            $all[] = new SubjectEdits($works[$subjects[$key]->subject()], $edits);
            $keys[] = $key;
        }
        if ($all !== []) {
            try {
                $this->strokes->of($by, $order, $all, 'Sheet brought back', static function (
                    int $of,
                    int $edit,
                    string $field,
                    string $reason,
                ) use ($all, $keys, $read, &$faults): array {
                    $row = $read->rows[$keys[$of]][$all[$of]->edits[$edit]->part()] ?? 0;
                    $faults[$row][$field] ??= $reason;

                    return ["row {$row}, {$field}" => $reason];
                });
            } catch (Refusal $refusal) {
                // Each is told at its cell.
                $faults === [] && throw $refusal;
            }
        }

        return SheetOutcome::of($order->number, $head, $merge, $faults);
    }

    /** @return array<string, string> why what the head says cannot be so, by name */
    private function planned(Person $by, ChangeOrder $order, SheetHead $head): array
    {
        if ($head->changes === []) {
            return [];
        }
        $refusal = OrderPolicy::refusal(OrderAct::Plan, $by, $order);
        if ($refusal !== null) {
            return array_fill_keys(array_keys($head->changes), $refusal);
        }
        try {
            $this->plan->change($by, $order, $head->fields());
        } catch (Refusal $refusal) {
            $names = array_flip(OrderHead::FIELDS);
            $reasons = [];
            foreach ($refusal->reasons as $field => $reason) {
                $name = $names[$field] ?? '';
                $reasons[isset($head->changes[$name]) ? $name : array_key_first($head->changes)] = $reason;
            }

            return $reasons;
        }

        return [];
    }

    private function mark(ReadSheet $read, string $path, SheetOutcome $outcome): string
    {
        $reasons = [];
        foreach ($outcome->faults as $fault) {
            $reasons[$fault->row][$fault->column] = $fault->reason;
        }
        $file = ReadSheet::open($path);
        $marked = MarkedTable::write(SheetColumns::all(), $file->rows, $reasons, $file->head);
        try {
            $read->sheet->update(['marked_id' => StoredFile::keep($marked)]);
        } finally {
            @unlink($marked);
        }

        return $read->sheet->id;
    }
}
