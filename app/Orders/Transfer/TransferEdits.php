<?php

declare(strict_types=1);

namespace App\Orders\Transfer;

use App\Ledger\Ledger;
use App\Orders\Actions\HeldWork;
use App\Orders\Events\EditsTransferred;
use App\Orders\Models\ChangeOrder;
use App\Orders\NewLines;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Strokes\HeldSubjects;
use App\Orders\Strokes\MakeStroke;
use App\Orders\Strokes\SubjectEdits;
use App\Orders\Subjects\NamedWork;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Transfer\Carried;
use Orthotaxis\Core\Transfer\Fit;

/** Carries edits of one order over to siblings, under it or another one, in one act; what does not simply fit is decided row by row. */
final readonly class TransferEdits
{
    public function __construct(private TransferReader $reader, private MakeStroke $strokes, private Ledger $ledger) {}

    /**
     * @param  list<Way>  $ways
     * @param  array<string, bool>  $decisions  whether a row is taken, by way and key of the line; what simply fits is, where nobody says
     * @return string the stroke
     *
     * @throws Refusal at each row about which nobody has decided, or that cannot be so: nothing is done then
     */
    public function carry(Person $by, string $from, string $into, array $ways, array $decisions): string
    {
        return $this->ledger->together(function () use ($by, $from, $into, $ways, $decisions): string {
            $order = HeldWork::openOrder($into);
            $plans = OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null;
            $plans || OrderPolicy::check(OrderAct::Revise, $by, $order, 'editor');
            $source = $from === $into ? $order : ChangeOrder::query()->where('number', $from)->firstOrFail();
            $carried = $this->reader->carried($this->reader->sources($source), $order, $ways);
            [$edits, $targets, $log] = self::decided($ways, $carried, $decisions);
            if ($edits === []) {
                throw Refusal::at('rows', 'Nothing is to be carried over.');
            }
            $works = HeldSubjects::of($by, $order, array_values($targets), $plans);
            $all = $names = [];
            foreach ($edits as $key => $some) {
                $all[] = new SubjectEdits($works[$targets[$key]->subject()], NewLines::completed(array_column($some, 'edit')));
                $names[] = array_column($some, 'row');
            }
            $stroke = $this->strokes->of(
                $by,
                $order,
                $all,
                "Carried over from {$from}",
                static fn(int $of, int $edit, string $field, string $reason): array => [
                    "rows.{$names[$of][$edit]}" => "{$all[$of]->work->subject()}: {$reason}",
                ],
            );
            TransferRecord::query()->create([
                'from_id' => $source->id,
                'into_id' => $order->id,
                'person_id' => $by->id,
                'stroke' => $stroke,
                'made_at' => CarbonImmutable::now(),
                'rows' => $log,
            ]);
            event(
                new EditsTransferred(
                    by: $by->login,
                    of: $into,
                    from: $from,
                    stroke: $stroke,
                    rows: count($log),
                    taken: count(array_filter(array_column($log, 'taken'))),
                ),
            );

            return $stroke;
        });
    }

    /**
     * @param  list<Way>  $ways
     * @param  array<string, list<Carried>>  $carried  by way
     * @param  array<string, bool>  $decisions
     * @return array{
     *     array<string, non-empty-list<array{edit: LineEdit, row: string}>>,
     *     array<string, NamedWork>,
     *     list<array{source: string, target: string, what: string, fit: string, reason: string, taken: bool}>
     * } edits and subjects by the key of the target, and the log
     */
    private static function decided(array $ways, array $carried, array $decisions): array
    {
        $edits = $targets = $log = $open = [];
        foreach ($ways as $way) {
            foreach ($carried[$way->key()] as $one) {
                $row = "{$way->key()} {$one->key()}";
                $taken = $decisions[$row] ?? ($one->fit === Fit::Fits ? true : null);
                if ($one->fit === Fit::Differs && $taken === null) {
                    $open["rows.{$row}"] = "{$way->target->subject()}: {$one->reason} Decide whether it is carried over.";
                }
                if ($one->edit !== null && $taken === true) {
                    $edits[$way->target->key()][] = ['edit' => $one->edit, 'row' => $row];
                    $targets[$way->target->key()] = $way->target;
                }
                $log[] = [
                    'source' => $way->source->key(),
                    'target' => $way->target->key(),
                    'what' => self::inWords($one),
                    'fit' => $one->fit->value,
                    'reason' => $one->reason,
                    'taken' => $one->edit !== null && $taken === true,
                ];
            }
        }

        return $open === [] ? [$edits, $targets, $log] : throw Refusal::because($open);
    }

    private static function inWords(Carried $one): string
    {
        [$before, $after] = [$one->of->before, $one->of->after];

        return match (true) {
            $before === null => "New line {$after?->component}",
            $after === null => "{$before->component} taken out",
            $after->component !== $before->component => "{$before->component} replaced by {$after->component}",
            default => "{$before->component}: " .
                implode(', ', array_map(static fn($field): string => "{$field->inWords()} {$after->text($field)}", $one->of->fields)),
        };
    }
}
