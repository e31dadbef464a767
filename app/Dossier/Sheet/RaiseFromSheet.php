<?php

declare(strict_types=1);

namespace App\Dossier\Sheet;

use App\Dossier\Actions\RaiseOrder;
use App\Dossier\Sheet\Data\RaisedFromSheet;
use App\Files\StoredFile;
use App\Ledger\Ledger;
use App\Orders\Actions\MoveOrder;
use App\Orders\Actions\PlanOrder;
use App\Orders\Models\ChangeOrder;
use App\Orders\Sheet\OrderHead;
use App\Orders\Sheet\OrderSheet;
use App\People\Models\Person;
use App\Tables\MarkedTable;
use App\Vocabulary\Priority;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;

/**
 * Raises an order from a sheet that somebody filled in: what it is called and its plan, the items, and what is done to their lines. The
 * lines are edited in one act by whoever brings it; for that the order is opened at once. All of it or nothing.
 */
final readonly class RaiseFromSheet
{
    public function __construct(
        private RaiseOrder $orders,
        private PlanOrder $plan,
        private MoveOrder $move,
        private EditFromSheet $lines,
        private Ledger $ledger,
    ) {}

    /**
     * @param  bool  $keep  false: only says what it would do
     *
     * @throws Refusal when it is no such sheet
     */
    public function of(Person $by, string $path, bool $keep): RaisedFromSheet
    {
        $read = ReadOrderSheet::of($path);
        try {
            return $this->ledger->together(function () use ($by, $read, $keep): RaisedFromSheet {
                $read->faults === [] || throw new BadCells($read->faults);
                $outcome = $this->raise($by, $read);

                return $keep ? $outcome : throw new OnlyLookedAt($outcome);
            });
        } catch (OnlyLookedAt $looked) {
            return $looked->outcome->lookedAt();
        } catch (BadCells $bad) {
            return RaisedFromSheet::refused($read->says('title'), $read->items, $bad->faults, self::marked($by, $path, $bad->faults));
        }
    }

    private function raise(Person $by, ReadOrderSheet $read): RaisedFromSheet
    {
        $order = $this->orders->raise(
            $by,
            $read->says('title'),
            $read->says('description'),
            Priority::tryFrom($read->says('priority')) ?? Priority::Normal,
            $read->items,
            [],
        );
        $this->inHead($read, fn() => $this->planned($by, $order, $read));
        $changes = [];
        if ($read->acts !== []) {
            $this->inHead($read, fn() => $this->move->openForRevision($by, $order->number, $order->refresh()->version));
            $changes = $this->lines->of($by, $order->number, $read->acts);
        }

        return RaisedFromSheet::of($order->number, $order->title, $read->items, $changes);
    }

    private function planned(Person $by, ChangeOrder $order, ReadOrderSheet $read): void
    {
        $fields = [];
        foreach (['effective', 'editor', 'signer'] as $name) {
            if ($read->says($name) !== '') {
                $fields[OrderHead::FIELDS[$name]] = $read->says($name);
            }
        }
        if ($fields !== []) {
            $this->plan->change($by, $order, $fields);
        }
    }

    /** What is refused is told beside what the head says of it. */
    private function inHead(ReadOrderSheet $read, \Closure $do): void
    {
        try {
            $do();
        } catch (Refusal $refusal) {
            $names = array_flip(OrderHead::FIELDS);
            $faults = [];
            foreach ($refusal->reasons as $field => $reason) {
                $name = $names[$field] ?? $field;
                $faults[$read->rowOf($name)][$name] = $reason;
            }
            throw new BadCells($faults);
        }
    }

    /** @param  array<int, array<string, string>>  $faults */
    private static function marked(Person $by, string $path, array $faults): string
    {
        $file = ReadOrderSheet::open($path);
        $marked = MarkedTable::write(OrderSheetColumns::all(), $file->rows, $faults, $file->head);
        try {
            return OrderSheet::query()->create([
                'order_id' => null,
                'person_id' => $by->id,
                'taken_at' => CarbonImmutable::now(),
                'lines' => [],
                'head' => [],
                'marked_id' => StoredFile::keep($marked),
            ])->id;
        } finally {
            @unlink($marked);
        }
    }
}
