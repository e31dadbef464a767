<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInToDo;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\ToDo;
use Orthotaxis\Core\CutIn\ToDoKind;
use Orthotaxis\Core\CutIn\ToDoList;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/** What has to be done by when for a cut-in on a day. */
final readonly class ToDoReader
{
    /** What belongs to the change, whatever the plant. */
    private const OF_ALL = [ToDoKind::Release, ToDoKind::Tooling, ToDoKind::CutIn];

    public function __construct(private CaseReader $cases) {}

    /**
     * @param  array<string, mixed>  $question  as CutInQuestion checks it
     * @return list<CutInToDo> the most urgent first
     */
    public function list(array $question, Day $on): array
    {
        $case = $this->cases->read($question);
        $day = $on->number() - $case->today->number();
        if ($day < 0 || $day >= $case->plants[0]->horizon()) {
            throw Refusal::at('on', 'Choose a day within the planning horizon.');
        }
        $all = $once = [];
        foreach ($case->plants as $plant) {
            foreach (ToDoList::of($plant, $case->levers, $day) as $one) {
                if (in_array($one->kind, self::OF_ALL, true)) {
                    // The first day by which any plant needs it.
                    $known = $once[$one->kind->value] ?? $one;
                    $once[$one->kind->value] = $one->by < $known->by ? $one : $known;
                } else {
                    $all[] = [$one, $plant->plant];
                }
            }
        }
        $all = [...$all, ...array_map(static fn(ToDo $one): array => [$one, ''], array_values($once))];
        usort($all, static fn(array $a, array $b): int => [$a[0]->by, $a[0]->kind->rank()] <=> [$b[0]->by, $b[0]->kind->rank()]);

        return array_map(
            static fn(array $one): CutInToDo => new CutInToDo(
                plant: $one[1],
                kind: $one[0]->kind->value,
                what: $one[0]->kind->label(),
                by: (string) $case->today->plusDays($one[0]->by),
                item: $one[0]->part,
                document: $one[0]->document,
                quantity: $one[0]->quantity === 0 ? '' : (string) Quantity::ofMillionths($one[0]->quantity),
                unit: $one[0]->part === '' ? '' : $case->items[$one[0]->part]->unit->value,
                for: $one[0]->for === null ? null : (string) $case->today->plusDays($one[0]->for),
            ),
            $all,
        );
    }
}
