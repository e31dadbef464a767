<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Http\Stale;
use App\Ledger\Ledger;
use App\Manufacturing\BuildsOfOrder;
use App\Manufacturing\BuiltAt;
use App\Manufacturing\ManufacturingContents;
use App\Manufacturing\PlantStructures;
use App\Orders\Actions\HeldWork;
use App\Orders\Actions\KeepEdits;
use App\Orders\EditGuard;
use App\Orders\Events\EditUndone;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Manufacturing\PutOnRecord;
use Orthotaxis\Core\Manufacturing\RecordEdit;
use Orthotaxis\Core\Manufacturing\TakeOver;
use Orthotaxis\Core\Refusal;

/** Edits what a plant builds of an item, under an order that names the item, by the person whom the order names to edit. */
final readonly class EditBuilt
{
    public function __construct(
        private BuildsOfOrder $ordered,
        private PlantStructures $plants,
        private ManufacturingContents $contents,
        private EditGuard $guard,
        private Ledger $ledger,
    ) {}

    /**
     * Takes engineering lines over as far as it follows from what is there; all of it or nothing.
     *
     * @param  list<string>  $lines  keys of engineering lines; empty: all that are open
     * @param  int  $seen  the number of the newest edit that was on screen
     *
     * @throws Refusal when one of them cannot be taken over by itself
     */
    public function takeOver(Person $by, string $order, string $item, string $plant, array $lines, int $seen): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant, $lines, $seen): WorkRecord {
            $work = $this->held($by, $order, $item, $plant, $seen);
            $built = $this->built($work);
            $of = $this->plants->account([$built], BuildsOfOrder::day($work->row->order))[0];
            $suggested = TakeOver::of($of, $built->content->structure);
            foreach ($lines as $line) {
                if (!isset($suggested[$line])) {
                    throw Refusal::at(
                        'lines',
                        'A line cannot be taken over by itself: a kit would have to change, or a unit does not convert.',
                    );
                }
            }
            $edits = array_merge(...array_values($lines === [] ? $suggested : array_intersect_key($suggested, array_flip($lines))));
            if ($edits === [] && $work->wasChanged('base_id')) {
                return $work;
            }
            if ($edits === []) {
                throw Refusal::at('lines', 'There is nothing to take over.');
            }
            $this->keep(
                $work,
                $by,
                array_map(static fn(LineEdit $edit): LineEdit => $edit->part() === '' ? $edit->of((string) Str::uuid7()) : $edit, $edits),
            );

            return $work;
        });
    }

    /** Puts on record that an engineering line is left out or replaced, or takes that off the record. */
    public function putOnRecord(Person $by, string $order, string $item, string $plant, RecordEdit $edit, int $seen): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant, $edit, $seen): WorkRecord {
            $work = $this->held($by, $order, $item, $plant, $seen);
            if ($this->built($work)->engineering->line($edit->part()) === null) {
                throw Refusal::at('line', 'Engineering declares no such line.');
            }
            $replacement = $edit instanceof PutOnRecord ? trim($edit->fields()['by'] ?? '') : '';
            if ($replacement !== '' && !Item::query()->where('number', $replacement)->exists()) {
                throw Refusal::at('by', "There is no item {$replacement}.");
            }
            $this->keep($work, $by, [$edit]);

            return $work;
        });
    }

    /** Takes the last edit back. Nothing is deleted: an edit that is taken back stays on record. */
    public function undo(Person $by, string $order, string $item, string $plant): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant): WorkRecord {
            $work = $this->held($by, $order, $item, $plant, null);
            $last = $work->holding()->last() ?? throw Refusal::at('edits', 'There is nothing to undo.');
            $last->update(['withdrawn_at' => CarbonImmutable::now()]);
            $edit = $this->contents->edit($last->operation, $last->version, $last->part, $last->fields);
            event(new EditUndone($by->login, $order, (string) $work->subject(), $last->number, $edit->inWords()));

            return $work;
        });
    }

    /** @throws Stale when somebody has edited it since */
    private function held(Person $by, string $order, string $item, string $plant, ?int $seen): WorkRecord
    {
        $base = Content::query()
            ->whereRelation('item', 'number', $item)
            ->where(['kind' => ManufacturingContents::NAME, 'plant' => $plant, 'status' => 'released'])
            ->value('id');
        $work = HeldWork::onSubject($by, $order, $item, ManufacturingContents::NAME, $plant, is_int($base) ? $base : null);
        // Somebody released a newer revision of the plant's meanwhile: what was done goes on from that.
        if ($base !== $work->base_id) {
            $work->update(['base_id' => $base]);
        }
        if ($seen !== null && $seen < (int) $work->edits->max('number')) {
            throw new Stale("{$item} at {$plant} was edited meanwhile. Yours was not saved; look at it again.");
        }

        return $work;
    }

    /** As the order makes it now. */
    private function built(WorkRecord $work): BuiltAt
    {
        foreach ($this->ordered->of($work->row->order, $work->plant) as $built) {
            if ($built->item->id === $work->row->item_id && $built->plant === $work->plant) {
                return $built;
            }
        }
        throw new \LogicException('A plant at which work was begun builds the item.');
    }

    /**
     * @param  non-empty-list<Edit>  $edits
     *
     * @throws Refusal when they do not fit, or name what there is not
     */
    private function keep(WorkRecord $work, Person $by, array $edits): void
    {
        $now = $this->now($work);
        $after = $now->edited($edits);
        $changes = [];
        foreach ($after->structure as $key => $line) {
            $was = $now->structure->line($key);
            if ($was === null || $was->differsFrom($line) !== []) {
                $changes[] = [$line, $was];
            }
        }
        foreach ($this->guard->faults($work, $changes) as $fault) {
            throw $fault;
        }
        KeepEdits::of($work, $by, $edits);
    }

    private function now(WorkRecord $work): ManufacturingContent
    {
        $base = $work->base_id === null ? $this->contents->none() : $this->contents->read([$work->base_id])[$work->base_id];
        $edits = [];
        foreach ($work->holding() as $edit) {
            $edits[] = $this->contents->edit($edit->operation, $edit->version, $edit->part, $edit->fields);
        }

        return $base->edited($edits);
    }
}
