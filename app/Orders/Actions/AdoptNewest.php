<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Documents\Models\ItemDocument;
use App\Ledger\Ledger;
use App\Orders\Events\DocumentAdopts;
use App\Orders\Models\ChangeOrder;
use App\Orders\OlderUseReader;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Refusal;

/** Lets parents and documents go to the newest revision of an item, under an order: some of them or all. */
final readonly class AdoptNewest
{
    public function __construct(
        private PutItemOnOrder $items,
        private EditStructure $edits,
        private OlderUseReader $older,
        private Ledger $ledger,
    ) {}

    /**
     * @param  list<array{item: string, line: string}>  $uses  parents with their lines; documents without
     */
    public function __invoke(Person $by, string $number, string $itemNumber, array $uses): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber, $uses): void {
            $order = ChangeOrder::hold($number);
            if ($order->state !== OrderState::Revising) {
                throw Refusal::at('order', "{$number} is not open for revision.");
            }
            $item = Item::query()->with('released')->where('number', $itemNumber)->firstOrFail();
            $known = [];
            foreach ($this->older->read($item)->uses as $use) {
                $known["{$use->item->number} {$use->line}"] = $use;
            }
            foreach ($uses as $asked) {
                $use =
                    $known["{$asked['item']} {$asked['line']}"] ??
                    throw Refusal::at('uses', "{$asked['item']} does not point to an older revision of {$itemNumber} any more.");
                if ($use->adopted_by !== null) {
                    throw Refusal::at('uses', "{$asked['item']} is adopted under {$use->adopted_by} already.");
                }
                $this->putOn($by, $order, $asked['item']);
                if ($use->what === 'line') {
                    $this->edits->adopt($by, $number, $asked['item'], $asked['line'], (string) $item->released?->code);
                } else {
                    ItemDocument::query()
                        ->where('item_id', $item->id)
                        ->whereRelation('document', 'number', $asked['item'])
                        ->update(['adopting_order_id' => $order->id]);
                    event(new DocumentAdopts($by->login, $number, $asked['item'], $itemNumber, $item->released?->code));
                }
            }
        });
    }

    private function putOn(Person $by, ChangeOrder $order, string $holder): void
    {
        if (!$order->items()->where('outcome', Outcome::Revise->value)->whereRelation('item', 'number', $holder)->exists()) {
            $this->items->put($by, $order->number, $holder, Outcome::Revise, null, $order->refresh()->version);
        }
    }
}
