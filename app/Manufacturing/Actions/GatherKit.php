<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Ledger\Ledger;
use App\Manufacturing\BuildsOfOrder;
use App\Manufacturing\DeclaredStructures;
use App\Manufacturing\ManufacturingContents;
use App\Orders\Models\WorkRecord;
use App\Orders\NewLines;
use App\Orders\WorkContents;
use App\People\Models\Person;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use Illuminate\Support\Str;
use Orthotaxis\Core\Manufacturing\GatherIntoKit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/** Gathers lines of what a plant builds of an item into a kit that only manufacturing has; both are subjects of the order. */
final readonly class GatherKit
{
    public function __construct(
        private BuiltWork $works,
        private WorkContents $contents,
        private DeclaredStructures $declared,
        private Ledger $ledger,
    ) {}

    /**
     * All of it or nothing.
     *
     * @param  list<string>  $lines  keys of lines of the item
     * @param  int  $seen  the number of the newest edit that was on screen
     *
     * @throws Refusal when the kit is none, or is not on the order
     */
    public function gather(Person $by, string $order, string $item, string $plant, string $kit, array $lines, int $seen): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $plant, $kit, $lines, $seen): WorkRecord {
            $work = BuiltWork::hold($by, $order, $item, $plant, $seen);
            $of = Item::query()->where('number', $kit)->first() ?? throw Refusal::at('kit', (new MistypedNumbers())->noSuchItem($kit));
            if ($of->id === $work->row->item_id) {
                throw Refusal::at('kit', 'A kit does not contain itself.');
            }
            $declared = $this->declared->of(collect([$of]), BuildsOfOrder::day($work->row->order))[$of->id] ?? null;
            if ($declared !== null && count($declared) > 0) {
                throw Refusal::at('kit', "Engineering declares a structure of {$kit}: it is no kit of manufacturing alone.");
            }
            $row = $work->row->order->items()->where('item_id', $of->id)->first();
            if ($row === null || !$row->outcome->mayChange(ManufacturingContents::NAME)) {
                throw Refusal::at('kit', "Add {$kit} to {$order} first, as \"Manufacturing only\".");
            }
            $inKit = BuiltWork::hold($by, $order, $kit, $plant, null);
            $built = fn(WorkRecord $one): Structure => ManufacturingContents::built($this->contents->after($one))->structure;
            $edits = GatherIntoKit::of($built($work), $built($inKit), $lines, $kit);
            $stroke = (string) Str::uuid7();
            $this->works->keep($work, $by, NewLines::completed($edits->ofItem), stroke: $stroke);
            $this->works->keep($inKit, $by, NewLines::completed($edits->ofKit), stroke: $stroke);

            return $work;
        });
    }
}
