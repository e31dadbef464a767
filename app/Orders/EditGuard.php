<?php

declare(strict_types=1);

namespace App\Orders;

use App\Days\Today;
use App\Http\Stale;
use App\Orders\Models\EditRecord;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use App\Structures\PinnedRevisions;
use App\Structures\StructureReader;
use App\Tables\Quoted;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LoopFinder;

/** What an edit must not do: name what is not there, use a wrong unit, close a loop, overwrite what was not seen. */
final readonly class EditGuard
{
    private const PLANNED = "
        SELECT DISTINCT oi.item_id AS item, i.id AS component
        FROM change_orders o JOIN change_order_items oi ON oi.order_id = o.id AND oi.outcome = 'revise'
        JOIN works w ON w.order_item_id = oi.id AND w.kind = 'engineering' JOIN edits e ON e.work_id = w.id AND e.withdrawn_at IS NULL
        JOIN items i ON i.number = e.fields ->> 'component'
        WHERE o.state IN {editing}";

    public function __construct(private StructureReader $structures, private OrderReader $orders) {}

    /** @return array<string, list<EditRecord>> what was edited after it was on screen, by line */
    public static function unseen(WorkRecord $work, int $seen): array
    {
        $unseen = [];
        foreach ($work->edits as $edit) {
            if ($edit->number > $seen && $edit->withdrawn_at === null) {
                $unseen[$edit->part][] = $edit;
            }
        }

        return $unseen;
    }

    /**
     * @param  list<EditRecord>  $unseen  edits of the same line
     * @param  ?Line  $now  the line as it is; null when it is not there
     *
     * @throws Stale when the line was changed, in the same place, after it was on screen
     */
    public static function refuseWhatOthersChanged(LineEdit $edit, array $unseen, ?Line $now): void
    {
        foreach ($unseen as $other) {
            if ($edit->conflictsWith($other->ofLine()) !== []) {
                throw new Stale(
                    sprintf('%s changed this line meanwhile. Yours was not saved; both are shown.', $other->author->name),
                    $now === null
                        ? ['line' => 'removed']
                        : array_combine(array_column(LineField::cases(), 'value'), array_map($now->text(...), LineField::cases())),
                );
            }
        }
    }

    /**
     * What of many lines cannot be so, asked of the database a fixed number of times.
     *
     * @param  array<int, array{Line, ?Line}>  $changes  as it is to read, and as it read before; by place
     * @return array<int, Refusal> by place
     */
    public function faults(WorkRecord $work, array $changes): array
    {
        return $this->faultsOf([['work' => $work, 'changes' => $changes]])[0] ?? [];
    }

    /**
     * The same of lines of many subjects, of one order.
     *
     * @param  array<int, array{work: WorkRecord, changes: array<int, array{Line, ?Line}>}>  $subjects
     * @return array<int, array<int, Refusal>> by subject and place
     */
    public function faultsOf(array $subjects): array
    {
        $lines = [];
        foreach ($subjects as $subject) {
            foreach ($subject['changes'] as [$line]) {
                $lines[] = $line;
            }
        }
        if ($lines === []) {
            return [];
        }
        $components = Item::query()
            ->whereIn('number', array_unique(array_map(static fn(Line $line): string => $line->component, $lines)))
            ->get()
            ->keyBy('number');
        $pinned = PinnedRevisions::ids($lines);
        $isPinned = static fn(Line $line): bool => $line->revision !== null && !isset($pinned[$line->below()]);
        $coming = array_filter($lines, $isPinned) === [] ? [] : $this->coming($subjects[array_key_first($subjects)]['work']->row);
        $faults = $new = [];
        foreach ($subjects as $of => $subject) {
            foreach ($subject['changes'] as $at => [$line, $was]) {
                $component = $components[$line->component] ?? null;
                $fault = self::fault($line, $component, $isPinned($line) && !isset($coming[$line->below()]));
                if ($fault !== null) {
                    $faults[$of][$at] = $fault;
                } elseif ($component !== null && !$line->byProduct && ($line->component !== $was?->component || $was->byProduct)) {
                    $new[$of][$at] = [$subject['work']->row->item_id, $component->id];
                }
            }
        }
        foreach ($this->loops($new) as $of => $loops) {
            $faults[$of] = ($faults[$of] ?? []) + $loops;
        }

        return $faults;
    }

    private static function fault(Line $line, ?Item $component, bool $noSuchRevision): ?Refusal
    {
        return match (true) {
            $component === null => Refusal::at('component', (new MistypedNumbers())->noSuchItem($line->component)),
            !$line->unit->measuresLike($component->unit) => Refusal::at(
                'unit',
                sprintf(
                    '%s is counted in %s; %s does not measure the same. Use one of %s.',
                    $component->number,
                    $component->unit->value,
                    $line->unit->value,
                    implode(
                        ', ',
                        array_map(
                            static fn(Unit $unit): string => $unit->value,
                            array_filter(Unit::cases(), $component->unit->measuresLike(...)),
                        ),
                    ),
                ),
            ),
            $noSuchRevision => Refusal::at(
                'revision',
                "{$line->component} has no released revision {$line->revision}. Leave the field empty for the one of the day.",
            ),
            default => null,
        };
    }

    /** @return array<string, true> the revisions that the order itself releases, by what Line::below says */
    private function coming(OrderItem $row): array
    {
        $coming = [];
        foreach ($this->orders->toCore($row->order)->revised() as $item) {
            $becomes = $item->becomes();
            if ($becomes !== null) {
                $coming[Line::pinned($item->number, $becomes)] = true;
            }
        }

        return $coming;
    }

    /**
     * A loop counts also where it goes through what open orders are about to do, or the same act.
     *
     * @param  array<int, array<int, array{int, int}>>  $new  the item, and what comes into it; by subject and place
     * @return array<int, array<int, Refusal>> by subject and place
     */
    private function loops(array $new): array
    {
        if ($new === []) {
            return [];
        }
        $planned = self::planned();
        foreach ($new as $places) {
            foreach ($places as [$item, $component]) {
                $planned[$item][] = $component;
            }
        }
        $named = array_values(array_unique(array_merge(...array_values($planned))));
        $below = $this->structures->componentsBelow($named, Today::day());
        foreach ($planned as $parent => $more) {
            $below[$parent] = array_values(array_unique([...$below[$parent] ?? [], ...$more]));
        }
        $found = $faults = $reachable = [];
        foreach ($new as $of => $places) {
            foreach ($places as $at => [$item, $component]) {
                // One walk down for a component that comes into thousands of parents; the way is looked for only where there is one.
                $reachable[$component] ??= LoopFinder::reachable($component, $below);
                if (isset($reachable[$component][$item])) {
                    $found[$of][$at] = LoopFinder::closedBy($item, $component, $below) ?? [];
                }
            }
        }
        if ($found === []) {
            return [];
        }
        $numbers = Item::query()->whereIn('id', array_merge(...array_merge(...array_values($found))))->pluck('number', 'id');
        foreach ($found as $of => $loops) {
            foreach ($loops as $at => $loop) {
                $faults[$of][$at] = Refusal::at(
                    'component',
                    'This would put an item inside itself: ' .
                        implode(' → ', array_map(static fn(int $id): string => (string) $numbers[$id], $loop)) .
                        '.',
                );
            }
        }

        return $faults;
    }

    /** @return array<int, list<int>> item => components that open orders give it */
    private static function planned(): array
    {
        $planned = [];
        foreach (DB::select(strtr(self::PLANNED, ['{editing}' => Quoted::cases(OrderState::editing())])) as $row) {
            $planned[$row->item][] = $row->component;
        }

        return $planned;
    }
}
