<?php

declare(strict_types=1);

namespace App\Changes\Actions;

use App\Changes\EditGuard;
use App\Changes\Models\ChangeOrder;
use App\Changes\Models\EditRecord;
use App\Changes\Models\OrderItem;
use App\Changes\OrderAct;
use App\Changes\OrderPolicy;
use App\Changes\OrderReader;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\Edit;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Edit\Rebase;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/** The only door to a released structure: edits under an order that is open for revision, by the person named on it. */
final readonly class EditStructure
{
    public function __construct(
        private StructureReader $structures,
        private EditGuard $guard,
        private Ledger $ledger,
    ) {}

    /**
     * @param  string  $line  the key of the line; empty to add one
     * @param  array<value-of<LineField>, string>  $fields
     * @param  int  $seen  the number of the newest edit that was on screen
     */
    public function make(Person $by, string $number, string $itemNumber, EditOperation $operation, string $line, array $fields, int $seen): void
    {
        DB::transaction(function () use ($by, $number, $itemNumber, $operation, $line, $fields, $seen): void {
            $this->write($this->openRow($by, $number, $itemNumber), $by, $operation, $line, $fields, $seen);
        });
    }

    /**
     * Makes several edits, all of them or none: refused with the place of every edit that cannot be so, which is its place in
     * the list and its field.
     *
     * @param  list<Edit>  $edits  of lines by their keys; of new ones with an empty key
     * @param  int  $seen  the number of the newest edit that was on screen
     */
    public function makeSeveral(Person $by, string $number, string $itemNumber, array $edits, int $seen): void
    {
        DB::transaction(function () use ($by, $number, $itemNumber, $edits, $seen): void {
            $this->openRow($by, $number, $itemNumber);
            $reasons = [];
            foreach ($edits as $at => $edit) {
                try {
                    // Each is judged by what the one before it left.
                    $this->write($this->openRow($by, $number, $itemNumber), $by, $edit->operation, $edit->line, $edit->fields, $at === 0 ? $seen : PHP_INT_MAX);
                } catch (Refusal $refusal) {
                    foreach ($refusal->reasons as $field => $reason) {
                        $reasons["edits.{$at}.{$field}"] = $reason;
                    }
                }
            }
            if ($reasons !== []) {
                throw Refusal::because($reasons);
            }
        });
    }

    /** Lets a line go to another revision of its component. Whoever plans the order may decide that, not only who edits. */
    public function adopt(Person $by, string $number, string $itemNumber, string $line, string $revision): void
    {
        DB::transaction(function () use ($by, $number, $itemNumber, $line, $revision): void {
            $row = self::item(self::openOrder($number), $itemNumber);
            $this->write($row, $by, EditOperation::Change, $line, [LineField::Revision->value => $revision], (int) $row->edits->max('number'));
        });
    }

    /**
     * @param  array<value-of<LineField>, string>  $fields
     */
    private function write(OrderItem $row, Person $by, EditOperation $operation, string $line, array $fields, int $seen): void
    {
        if ($operation === EditOperation::Add) {
            $line = (string) Str::uuid7();
            $fields = self::completed($fields);
        }
        $edit = new Edit($operation, $line, $fields);
        $before = Apply::all($this->structures->ofRevision($row->base_revision_id), OrderReader::activeEdits($row));
        $this->guard->refuseWhatOthersChanged($row, $edit, $seen, $before);
        $after = Apply::one($before, $edit);
        if ($operation !== EditOperation::Remove) {
            $changed = $after->line($edit->line) ?? throw new \LogicException('An edit lost its line.');
            $this->guard->check($row, $changed, $before->line($edit->line));
        }
        $row->edits()->whereNotNull('withdrawn_at')->whereNull('discarded_at')->update(['discarded_at' => CarbonImmutable::now()]);
        $row->edits()->create([
            'number' => (int) $row->edits()->max('number') + 1,
            'operation' => $operation,
            'line_key' => $edit->line,
            'fields' => (object) $fields,
            'author_id' => $by->id,
            'made_at' => CarbonImmutable::now(),
        ]);
        $this->ledger->record($by->login, "structure.{$operation->value}", $row->order->number, ['item' => $row->item->number, 'line' => $edit->line, 'fields' => $fields]);
    }

    /**
     * A new line is counted in the unit of its component where nobody says otherwise.
     *
     * @param  array<value-of<LineField>, string>  $fields
     * @return array<value-of<LineField>, string>
     */
    private static function completed(array $fields): array
    {
        if (($fields['unit'] ?? '') !== '') {
            return $fields;
        }
        $unit = Item::query()->where('number', $fields['component'] ?? '')->first()?->unit;

        return $unit === null ? $fields : ['unit' => $unit->value] + $fields;
    }

    /**
     * Makes the lines of an item what they are to be, all of it or nothing: one edit for each line that differs.
     *
     * @param  int  $seen  the number of the newest edit that the lines were written from
     * @return int how many edits it took
     */
    public function makeAll(Person $by, string $number, string $itemNumber, Structure $wanted, int $seen): int
    {
        return DB::transaction(function () use ($by, $number, $itemNumber, $wanted, $seen): int {
            $row = $this->openRow($by, $number, $itemNumber);
            $now = Apply::all($this->structures->ofRevision($row->base_revision_id), OrderReader::activeEdits($row));
            $edits = Edits::between(Comparison::of($now, $wanted));
            $reasons = [];
            foreach ($edits as $edit) {
                try {
                    $this->make($by, $number, $itemNumber, $edit->operation, $edit->line, $edit->fields, $seen);
                } catch (Refusal $refusal) {
                    $find = ($wanted->line($edit->line) ?? $now->line($edit->line))->find ?? 0;
                    foreach ($refusal->reasons as $field => $reason) {
                        $reasons["line {$find}, {$field}"] = "Line {$find}, {$field}: {$reason}";
                    }
                }
            }

            return $reasons === [] ? count($edits) : throw Refusal::because($reasons);
        });
    }

    public function undo(Person $by, string $number, string $itemNumber): void
    {
        DB::transaction(function () use ($by, $number, $itemNumber): void {
            $edit = $this->openRow($by, $number, $itemNumber)->edits()->reorder()->whereNull('withdrawn_at')->orderByDesc('number')->first()
                ?? throw Refusal::at('edits', 'There is nothing to undo.');
            $this->mark($edit, CarbonImmutable::now(), $by, $number, $itemNumber, 'structure.undone');
        });
    }

    public function redo(Person $by, string $number, string $itemNumber): void
    {
        DB::transaction(function () use ($by, $number, $itemNumber): void {
            $edit = $this->openRow($by, $number, $itemNumber)->edits()->whereNotNull('withdrawn_at')->whereNull('discarded_at')->first()
                ?? throw Refusal::at('edits', 'There is nothing to redo.');
            $this->mark($edit, null, $by, $number, $itemNumber, 'structure.redone');
        });
    }

    /** Another order has released the item meanwhile: the edits go onto that revision, when they do not touch the same. */
    public function bringInNewer(Person $by, string $number, string $itemNumber): void
    {
        DB::transaction(function () use ($by, $number, $itemNumber): void {
            $row = $this->openRow($by, $number, $itemNumber);
            $newest = $row->item->workBase()?->id;
            $active = OrderReader::activeEdits($row);
            $moved = Rebase::onto($this->structures->ofRevision($row->base_revision_id), $this->structures->ofRevision($newest), $active);
            $lines = [];
            foreach ($active as $i => $edit) {
                if ($moved[$i]->line !== $edit->line) {
                    $lines[$edit->line] = $moved[$i]->line;
                }
            }
            foreach ($lines as $was => $is) {
                $row->edits()->where('line_key', $was)->update(['line_key' => $is]);
            }
            $row->update(['base_revision_id' => $newest]);
            $this->ledger->record($by->login, 'structure.newer_brought_in', $number, ['item' => $itemNumber, 'revision' => $row->item->released?->code] + ($lines === [] ? [] : ['lines' => $lines]));
        });
    }

    /**
     * The item on its order, held for the rest of the transaction.
     *
     * @throws Refusal when the person cannot edit it now
     */
    public function openRow(Person $by, string $number, string $itemNumber): OrderItem
    {
        $order = self::openOrder($number);
        OrderPolicy::check(OrderAct::Revise, $by, $order, 'editor');

        return self::item($order, $itemNumber);
    }

    /** @throws Refusal when its structures cannot be edited now */
    private static function openOrder(string $number): ChangeOrder
    {
        $order = ChangeOrder::hold($number);

        return match ($order->state) {
            OrderState::Revising => $order,
            OrderState::Planning => throw Refusal::at('order', "{$number} is not open for revision yet."),
            default => throw Refusal::at('order', "{$number} is locked: its structures cannot be edited."),
        };
    }

    private static function item(ChangeOrder $order, string $itemNumber): OrderItem
    {
        return $order->items()->with(['edits.author', 'item.released', 'order'])->where('outcome', Outcome::Revise->value)->whereRelation('item', 'number', $itemNumber)->first()
            ?? throw Refusal::at('item', "{$itemNumber} gets no new revision under {$order->number}.");
    }

    private function mark(EditRecord $edit, ?CarbonImmutable $withdrawnAt, Person $by, string $number, string $itemNumber, string $act): void
    {
        $edit->update(['withdrawn_at' => $withdrawnAt]);
        $this->ledger->record($by->login, $act, $number, ['item' => $itemNumber, 'edit' => $edit->number]);
    }
}
