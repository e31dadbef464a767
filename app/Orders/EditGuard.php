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
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LoopFinder;

/** What an edit must not do: name what is not there, use a wrong unit, close a loop, overwrite what was not seen. */
final readonly class EditGuard
{
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
        $lines = array_map(static fn(array $change): Line => $change[0], $changes);
        $components = Item::query()
            ->whereIn('number', array_unique(array_map(static fn(Line $line): string => $line->component, $lines)))
            ->get()
            ->keyBy('number');
        $pinned = PinnedRevisions::ids($lines);
        $coming =
            array_filter($lines, static fn(Line $line): bool => $line->revision !== null && !isset($pinned[$line->below()])) === []
                ? []
                : $this->coming($work->row);
        $faults = $new = [];
        foreach ($changes as $at => [$line, $was]) {
            $component = $components[$line->component] ?? null;
            if ($component === null) {
                $faults[$at] = Refusal::at('component', (new MistypedNumbers())->noSuchItem($line->component));
            } elseif (!$line->unit->measuresLike($component->unit)) {
                $faults[$at] = Refusal::at(
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
                );
            } elseif ($line->revision !== null && !isset($pinned[$line->below()]) && !isset($coming[$line->below()])) {
                $faults[$at] = Refusal::at(
                    'revision',
                    "{$line->component} has no released revision {$line->revision}. Leave the field empty for the one of the day.",
                );
            } elseif (!$line->byProduct && ($line->component !== $was?->component || $was->byProduct)) {
                $new[$at] = $component->id;
            }
        }

        return $faults + ($new === [] ? [] : $this->loops($work->row, $new));
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
     * @param  array<int, int>  $components  ids of what comes into the item, by place
     * @return array<int, Refusal> by place
     */
    private function loops(OrderItem $row, array $components): array
    {
        // Other open orders may be about to put something below the component: a loop through them counts as well.
        $planned = $this->plannedElsewhere($row);
        $below = $this->structures->componentsBelow(
            [...array_values(array_unique($components)), ...array_merge(...array_values($planned))],
            Today::day(),
        );
        foreach ($planned as $parent => $more) {
            $below[$parent] = [...$below[$parent] ?? [], ...$more];
        }
        $loops = $faults = [];
        foreach ($components as $at => $component) {
            $loop = $loops[$component] ??= LoopFinder::closedBy($row->item_id, $component, $below) ?? [];
            if ($loop !== []) {
                $numbers = Item::query()->whereIn('id', $loop)->pluck('number', 'id');
                $faults[$at] = Refusal::at(
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
    private function plannedElsewhere(OrderItem $row): array
    {
        $rows = OrderItem::query()
            ->with('works.edits')
            ->where('id', '!=', $row->id)
            ->where('outcome', Outcome::Revise->value)
            ->whereHas('order', static fn(Builder $order): Builder => $order->whereIn('state', OrderState::editing()))
            ->whereHas('works.edits', static fn(Builder $edits): Builder => $edits->whereNull('withdrawn_at'))
            ->get();
        $numbers = [];
        foreach ($rows as $other) {
            foreach ($other->engineering()?->lineEdits() ?? [] as $edit) {
                if (isset($edit->fields()[LineField::Component->value])) {
                    $numbers[$other->item_id][] = $edit->fields()[LineField::Component->value];
                }
            }
        }
        $ids = Item::query()->whereIn('number', array_merge(...array_values($numbers)))->pluck('id', 'number');

        return array_map(
            static fn(array $named): array => array_values(
                array_filter(array_map(static fn(string $number): ?int => $ids[$number] ?? null, $named)),
            ),
            $numbers,
        );
    }
}
