<?php

declare(strict_types=1);

namespace App\Changes;

use App\Changes\Models\OrderItem;
use App\Http\Stale;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use App\Structures\PinnedRevisions;
use App\Structures\StructureReader;
use App\Structures\Today;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Edit\Edit;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\LoopFinder;
use Orthotaxis\Core\Structure\Structure;

/** What an edit must not do: name what is not there, use a wrong unit, close a loop, overwrite what was not seen. */
final readonly class EditGuard
{
    public function __construct(private StructureReader $structures, private OrderReader $orders) {}

    /** @throws Stale when the line was changed, in the same place, after it was on screen */
    public function refuseWhatOthersChanged(OrderItem $row, Edit $edit, int $seen, Structure $now): void
    {
        foreach ($row->edits as $other) {
            $unseen = $other->number > $seen && $other->withdrawn_at === null;
            if ($unseen && $edit->conflictsWith($other->toCore())) {
                $line = $now->line($edit->line);
                throw new Stale(
                    sprintf('%s changed this line meanwhile. Yours was not saved; both are shown.', $other->author->name),
                    $line === null ? ['line' => 'removed'] : array_combine(
                        array_column(LineField::cases(), 'value'),
                        array_map($line->text(...), LineField::cases()),
                    ),
                );
            }
        }
    }

    /** @throws Refusal naming the field that cannot be so */
    public function check(OrderItem $row, Line $line, ?Line $was): void
    {
        $component = Item::query()->where('number', $line->component)->first();
        if ($component === null) {
            throw Refusal::at('component', (new MistypedNumbers)->noSuchItem($line->component));
        }
        if (! $line->unit->measuresLike($component->unit)) {
            throw Refusal::at('unit', sprintf(
                '%s is counted in %s; %s does not measure the same. Use one of %s.',
                $component->number, $component->unit->value, $line->unit->value,
                implode(', ', array_map(static fn (Unit $unit): string => $unit->value, array_filter(Unit::cases(), $component->unit->measuresLike(...)))),
            ));
        }
        if ($line->revision !== null && PinnedRevisions::ids([$line]) === [] && ! $this->comesWith($row, $line)) {
            throw Refusal::at('revision', "{$line->component} has no released revision {$line->revision}. Leave the field empty for the one of the day.");
        }
        if ($line->component !== $was?->component) {
            $this->refuseLoop($row, $component);
        }
    }

    /** Whether the order itself releases the revision that a line names. */
    private function comesWith(OrderItem $row, Line $line): bool
    {
        foreach ($this->orders->toCore($row->order)->revised() as $item) {
            if ($item->number === $line->component && $item->becomes() === $line->revision) {
                return true;
            }
        }

        return false;
    }

    private function refuseLoop(OrderItem $row, Item $component): void
    {
        // Other open orders may be about to put something below the component: a loop through them counts as well.
        $planned = $this->plannedElsewhere($row);
        $below = $this->structures->componentsBelow([$component->id, ...array_merge(...array_values($planned))], Today::day());
        foreach ($planned as $parent => $components) {
            $below[$parent] = [...($below[$parent] ?? []), ...$components];
        }
        $loop = LoopFinder::closedBy($row->item_id, $component->id, $below);
        if ($loop !== null) {
            $numbers = Item::query()->whereIn('id', $loop)->pluck('number', 'id');
            throw Refusal::at('component', 'This would put an item inside itself: '.implode(' → ', array_map(static fn (int $id): string => (string) $numbers[$id], $loop)).'.');
        }
    }

    /** @return array<int, list<int>> item => components that open orders give it */
    private function plannedElsewhere(OrderItem $row): array
    {
        $rows = OrderItem::query()->with('edits')->where('id', '!=', $row->id)->where('outcome', Outcome::Revise->value)
            ->whereHas('order', static fn (Builder $order): Builder => $order->whereIn('state', [OrderState::Revising->value, OrderState::InReview->value, OrderState::Signed->value]))
            ->whereHas('edits', static fn (Builder $edits): Builder => $edits->whereNull('withdrawn_at'))
            ->get();
        $numbers = [];
        foreach ($rows as $other) {
            foreach (OrderReader::activeEdits($other) as $edit) {
                if (isset($edit->fields[LineField::Component->value])) {
                    $numbers[$other->item_id][] = $edit->fields[LineField::Component->value];
                }
            }
        }
        $ids = Item::query()->whereIn('number', array_merge(...array_values($numbers)))->pluck('id', 'number');

        return array_map(static fn (array $named): array => array_values(array_filter(array_map(static fn (string $number): ?int => $ids[$number] ?? null, $named))), $numbers);
    }
}
