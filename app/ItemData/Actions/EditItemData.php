<?php

declare(strict_types=1);

namespace App\ItemData\Actions;

use App\ItemData\FieldsOfItem;
use App\ItemData\ItemDataContents;
use App\Ledger\Ledger;
use App\Orders\Actions\HeldWork;
use App\Orders\Actions\KeepEdits;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\Orders\WorkContents;
use App\People\Models\Person;
use App\Structures\DatedData;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\ItemData\ItemField;
use Orthotaxis\Core\ItemData\SetField;
use Orthotaxis\Core\Refusal;

/** Sets what is known of an item, under an order that changes the item, by the person whom the order names to edit. */
final readonly class EditItemData
{
    public function __construct(private FirstData $first, private WorkContents $works, private Ledger $ledger) {}

    /**
     * All of them or none.
     *
     * @param  non-empty-list<SetField>  $edits
     * @param  int  $seen  the number of the newest edit that was on screen
     *
     * @throws Refusal with every field that cannot be so
     */
    public function set(Person $by, string $order, string $item, array $edits, int $seen): WorkRecord
    {
        return $this->ledger->together(function () use ($by, $order, $item, $edits, $seen): WorkRecord {
            $work = $this->hold($by, $order, $item, $seen);
            $this->keep($work, $by, $edits);

            return $work;
        });
    }

    /**
     * All of them or none.
     *
     * @param  non-empty-list<SetField>  $edits
     *
     * @throws Refusal with every field that cannot be so
     */
    public function keep(WorkRecord $work, Person $by, array $edits): void
    {
        $item = $work->row->item;
        if (!$work->row->outcome->mayChange(ItemDataContents::NAME)) {
            throw Refusal::at(
                'item',
                "{$item->number} stays as it is under {$work->row->order->number}. Choose \"Item data only\" or a new revision for it first.",
            );
        }
        if (ItemDataContents::data($this->works->before($work))->isRetired()) {
            throw Refusal::at('item', "{$item->number} is retired.");
        }
        $data = ItemDataContents::data($this->works->after($work));
        $reasons = [];
        foreach ($edits as $edit) {
            try {
                $after = $data->edited([$edit]);
                $this->mustFit($item, $edit);
                if (($after->values[$edit->part()] ?? '') === ($data->values[$edit->part()] ?? '')) {
                    throw Refusal::at($edit->part(), 'This changes nothing: it reads so already.');
                }
                $data = $after;
            } catch (Refusal $refusal) {
                $reasons += $refusal->reasons;
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
        KeepEdits::of($work, $by, $edits);
    }

    public function hold(Person $by, string $order, string $item, ?int $seen): WorkRecord
    {
        // The order first, as everybody does who holds an order and its items.
        ChangeOrder::hold($order);
        $this->first->of($item);

        return HeldWork::onSubject($by, $order, $item, ItemDataContents::NAME, '', $seen);
    }

    private function mustFit(Item $item, SetField $edit): void
    {
        FieldsOfItem::mustHave($item, $edit->field);
        if ($edit->field->field !== ItemField::ReplacedBy || trim($edit->text) === '') {
            return;
        }
        $number = trim($edit->text);
        $successor =
            Item::query()->where('number', $number)->first() ??
            throw Refusal::at($edit->part(), (new MistypedNumbers())->noSuchItem($number));
        if ($successor->id === $item->id) {
            throw Refusal::at($edit->part(), 'An item does not replace itself.');
        }
        if (
            DatedData::on(Day::parse('9999-12-31'), [$successor->id])
                ->of($successor->id)
                ?->isRetired() === true
        ) {
            throw Refusal::at($edit->part(), "{$number} is retired itself.");
        }
    }
}
