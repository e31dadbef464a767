<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Ledger\Ledger;
use App\Manufacturing\BuildsOfOrder;
use App\Manufacturing\BuiltAt;
use App\Manufacturing\Files\BuiltSheet;
use App\Manufacturing\ManufacturingContents;
use App\Manufacturing\PlantStructures;
use App\Manufacturing\SuggestionReader;
use App\Orders\Models\WorkRecord;
use App\Orders\NewLines;
use App\Orders\OrderReader;
use App\Orders\WorkContents;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Illuminate\Support\Str;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Manufacturing\PutOnRecord;
use Orthotaxis\Core\Manufacturing\RecordEdit;
use Orthotaxis\Core\Manufacturing\Suggestion;
use Orthotaxis\Core\Manufacturing\TakeOver;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\AddOperation;

/** Edits what a plant builds of an item, under an order that names the item, by the person whom the order names to edit. */
final readonly class EditBuilt
{
    public function __construct(
        private OrderReader $orders,
        private BuildsOfOrder $ordered,
        private PlantStructures $plants,
        private BuiltWork $works,
        private SuggestionReader $suggestions,
        private WorkContents $contents,
        private Ledger $ledger,
    ) {}

    /**
     * Takes engineering lines over as far as it follows from what is there; all of it or nothing.
     *
     * @param  list<string>  $lines  keys of engineering lines; empty: all that are open
     * @param  ?string  $sibling  the item by whose example; null: by none
     * @param  int  $seen  the number of the newest edit that was on screen
     *
     * @throws Refusal when one of them cannot be taken over by itself
     */
    public function takeOver(Person $by, string $order, string $item, string $plant, array $lines, ?string $sibling, int $seen): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant, $lines, $sibling, $seen): WorkRecord {
            $work = BuiltWork::hold($by, $order, $item, $plant, $seen);
            [$built, $of] = $this->accounted($work);
            $suggested = $this->suggestions->read($built, $of, BuildsOfOrder::day($work->row->order), $sibling);
            foreach ($lines as $line) {
                if (!isset($suggested[$line])) {
                    throw Refusal::at(
                        'lines',
                        'A line cannot be taken over by itself: a kit would have to change, or a unit does not convert.',
                    );
                }
            }
            $chosen = $lines === [] ? $suggested : array_intersect_key($suggested, array_flip($lines));
            $edits = array_merge(...array_values(array_map(static fn(Suggestion $one): array => $one->edits, $chosen)));
            if ($edits === []) {
                throw Refusal::at('lines', 'There is nothing to take over.');
            }
            $this->works->keep($work, $by, NewLines::completed($edits));

            return $work;
        });
    }

    /**
     * Takes engineering lines over by hand, at an operation, whole or in part; all of it or nothing.
     *
     * @param  array<string, string>  $parts  so much of each, by the key of the engineering line; empty: all that is open
     * @param  string  $operation  its number; empty: at none
     * @param  int  $seen  the number of the newest edit that was on screen
     *
     * @throws Refusal at the key of a line that cannot be taken over so
     */
    public function takeInto(Person $by, string $order, string $item, string $plant, array $parts, string $operation, int $seen): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant, $parts, $operation, $seen): WorkRecord {
            $work = BuiltWork::hold($by, $order, $item, $plant, $seen);
            [$built, $of] = $this->accounted($work);
            $edits = TakeOver::into($of, $built->content->structure, $parts, $operation);
            if ($edits === []) {
                throw Refusal::at('lines', 'Choose what is taken over.');
            }
            $this->works->keep($work, $by, NewLines::completed($edits));

            return $work;
        });
    }

    /** Puts on record that an engineering line is left out or replaced, or takes that off the record. */
    public function putOnRecord(Person $by, string $order, string $item, string $plant, RecordEdit $edit, int $seen): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant, $edit, $seen): WorkRecord {
            $work = BuiltWork::hold($by, $order, $item, $plant, $seen);
            if ($this->built($work)->engineering->line($edit->part()) === null) {
                throw Refusal::at('line', 'Engineering declares no such line.');
            }
            $replacement = $edit instanceof PutOnRecord ? trim($edit->fields()['by'] ?? '') : '';
            if ($replacement !== '' && !Item::query()->where('number', $replacement)->exists()) {
                throw Refusal::at('by', "There is no item {$replacement}.");
            }
            $this->works->keep($work, $by, [$edit]);

            return $work;
        });
    }

    /**
     * Edits lines and operations by hand, all of it or nothing.
     *
     * @param  non-empty-list<Edit>  $edits
     * @param  int  $seen  the number of the newest edit that was on screen
     *
     * @throws Refusal with the place of every edit that cannot be so, which is its place in the list and its field
     */
    public function make(Person $by, string $order, string $item, string $plant, array $edits, int $seen): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant, $edits, $seen): WorkRecord {
            $work = BuiltWork::hold($by, $order, $item, $plant, $seen);
            $edits = array_map(
                static fn(Edit $edit): Edit => $edit instanceof AddOperation ? $edit->of((string) Str::uuid7()) : $edit,
                NewLines::completed($edits),
            );
            $this->works->keep($work, $by, $edits, static fn(int $at, string $field): string => "edits.{$at}.{$field}");

            return $work;
        });
    }

    /**
     * Makes it what a sheet says that was taken away and edited, all of it or nothing.
     *
     * @param  string  $path  of the sheet
     * @param  int  $seen  the number of the newest edit that was on screen
     *
     * @throws Refusal naming each bad cell by its row and column, or each part that cannot be so
     */
    public function readSheet(Person $by, string $order, string $item, string $plant, string $path, int $seen): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant, $path, $seen): WorkRecord {
            $work = BuiltWork::hold($by, $order, $item, $plant, $seen);
            $now = ManufacturingContents::built($this->contents->after($work));
            $wanted = BuiltSheet::read($path, $item, $plant, $now);
            $edits = $now->editsTo($wanted);
            if ($edits === []) {
                return $work;
            }
            try {
                $this->works->keep(
                    $work,
                    $by,
                    $edits,
                    static fn(int $at, string $field): string => "{$wanted->called($edits[$at]->part())}, {$field}",
                );
            } catch (Refusal $refusal) {
                throw Refusal::because(
                    array_combine(
                        array_keys($refusal->reasons),
                        array_map(
                            static fn(string $place, string $reason): string => ucfirst("{$place}: {$reason}"),
                            array_keys($refusal->reasons),
                            $refusal->reasons,
                        ),
                    ),
                );
            }

            return $work;
        });
    }

    /** As the order makes it now. */
    private function built(WorkRecord $work): BuiltAt
    {
        return self::among($this->all($work), $work);
    }

    /** @return array{BuiltAt, Accountability} the same, and how it accounts for engineering, with kits as the order makes them */
    private function accounted(WorkRecord $work): array
    {
        $all = $this->all($work);
        $built = self::among($all, $work);

        return [$built, $this->plants->account([$built], BuildsOfOrder::day($work->row->order), $all)[0]];
    }

    /** @return list<BuiltAt> */
    private function all(WorkRecord $work): array
    {
        return $this->ordered->of($work->row->order, $this->orders->toCore($work->row->order), $work->plant);
    }

    /** @param  list<BuiltAt>  $all */
    private static function among(array $all, WorkRecord $work): BuiltAt
    {
        foreach ($all as $built) {
            if ($built->item->id === $work->row->item_id && $built->plant === $work->plant) {
                return $built;
            }
        }
        throw new \LogicException('A plant at which work was begun builds the item.');
    }
}
