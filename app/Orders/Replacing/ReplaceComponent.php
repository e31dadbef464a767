<?php

declare(strict_types=1);

namespace App\Orders\Replacing;

use App\Ledger\Ledger;
use App\Orders\Actions\HeldWork;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Strokes\HeldSubjects;
use App\Orders\Strokes\MakeStroke;
use App\Orders\Strokes\SubjectEdits;
use App\Orders\Subjects\NamedWork;
use App\Orders\WorkContents;
use App\People\Models\Person;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Replacement\Heirs;
use Orthotaxis\Core\Replacement\Incoming;
use Orthotaxis\Core\Replacement\Replacement;
use Orthotaxis\Core\Structure\FreeFinds;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Structure;

/**
 * Replaces a component in chosen lines of many subjects, in one act. Parents that the order does not name yet are named on it, where the
 * person may plan the order.
 */
final readonly class ReplaceComponent
{
    public function __construct(private WorkContents $works, private MakeStroke $strokes, private Ledger $ledger) {}

    /**
     * @param  \Closure(ChangeOrder): AskedReplacement  $ask  reads what was asked, under the order that is held
     * @param  non-empty-list<array{item: string, work: string, line: string}>  $lines
     * @return string the stroke
     *
     * @throws Refusal with every line that cannot be so: nothing is done then
     */
    public function in(Person $by, string $number, \Closure $ask, array $lines): string
    {
        return $this->ledger->together(function () use ($by, $number, $ask, $lines): string {
            $order = HeldWork::openOrder($number);
            $plans = OrderPolicy::refusal(OrderAct::Plan, $by, $order) === null;
            $plans || OrderPolicy::check(OrderAct::Revise, $by, $order, 'editor');
            $asked = $ask($order);
            /** @var array<string, NamedWork> $subjects */
            $subjects = $chosen = [];
            foreach ($lines as $at => $line) {
                $named = NamedWork::of($number, $line['item'], $line['work']);
                $subjects[$named->subject()] = $named;
                $chosen[$named->subject()][$at] = $line['line'];
            }
            // Engineering first: what plants build takes over the lines that come there.
            uasort(
                $subjects,
                static fn(NamedWork $a, NamedWork $b): int => [$a->kind !== Subject::ENGINEERING, $a->item] <=> [
                    $b->kind !== Subject::ENGINEERING,
                    $b->item,
                ],
            );
            $works = HeldSubjects::of($by, $order, array_values($subjects), $plans);
            [$all, $places] = $this->edits($asked->replacement, $asked->effective, array_keys($subjects), $works, $chosen);

            return $this->strokes->of(
                $by,
                $order,
                $all,
                self::inWords($asked->replacement),
                static fn(int $of, int $edit, string $field, string $reason): array => [
                    "lines.{$places[$of][$edit]}" => "{$all[$of]->work->subject()}: {$reason}",
                ],
            );
        });
    }

    /**
     * @param  list<string>  $subjects  in the order in which they are edited
     * @param  array<string, WorkRecord>  $works  by subject
     * @param  array<string, array<int, string>>  $chosen  keys of lines, by subject and place
     * @return array{non-empty-list<SubjectEdits>, list<list<int>>} and the place of the line of each edit
     */
    private function edits(Replacement $replacement, Day $effective, array $subjects, array $works, array $chosen): array
    {
        $contents = $this->works->afterAll(array_values($works));
        $heirs = new Heirs(static fn(): string => (string) Str::uuid7());
        $all = $places = $refused = [];
        foreach ($subjects as $subject) {
            $content = $contents[$works[$subject]->id];
            $lines = $content instanceof HasLines ? $content->lines() : new Structure();
            $finds = FreeFinds::in($lines);
            $edits = $at = [];
            foreach ($chosen[$subject] as $place => $key) {
                $line = $lines->line($key);
                if ($line === null || !$replacement->concerns($line, $effective)) {
                    $refused["lines.{$place}"] = "{$subject} no longer has {$replacement->old} on that line. Look again.";

                    continue;
                }
                try {
                    $some = $replacement->at($line, $finds, $heirs);
                } catch (Refusal $refusal) {
                    $refused["lines.{$place}"] = "{$subject}: {$refusal->getMessage()}";

                    continue;
                }
                array_push($edits, ...$some);
                array_push($at, ...array_fill(0, count($some), $place));
            }
            if ($edits !== []) {
                $all[] = new SubjectEdits($works[$subject], $edits, $lines);
                $places[] = $at;
            }
        }

        return $refused === [] && $all !== [] ? [$all, $places] : throw Refusal::because($refused ?: ['lines' => 'Choose where.']);
    }

    private static function inWords(Replacement $replacement): string
    {
        $by = array_map(
            static fn(Incoming $one): string => (string) $one->ratio === '1' ? $one->component : "{$one->ratio} × {$one->component}",
            $replacement->new,
        );

        return ($by === [] ? "{$replacement->old} taken out" : "{$replacement->old} replaced by " . implode(' and ', $by)) .
            ($replacement->from === null ? '' : " from {$replacement->from}");
    }
}
