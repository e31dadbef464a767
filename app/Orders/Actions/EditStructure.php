<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\EditGuard;
use App\Orders\Models\EditRecord;
use App\Orders\Models\OrderItem;
use App\Orders\OrderReader;
use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\Draft;
use Orthotaxis\Core\Edit\Edit;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/** The only door to a released structure: edits under an order that is open for revision, by the person named on it. */
final readonly class EditStructure
{
    public function __construct(private StructureReader $structures, private EditGuard $guard, private Ledger $ledger) {}

    /** @param  int  $seen  the number of the newest edit that was on screen */
    public function make(Person $by, string $number, string $itemNumber, Edit $edit, int $seen): void
    {
        $this->ledger->together(
            fn() => $this->write(HeldItem::forEditor($by, $number, $itemNumber), $by, [$edit], $seen, self::atField(...)),
        );
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
        $this->ledger->together(
            fn() => $this->write(
                HeldItem::forEditor($by, $number, $itemNumber),
                $by,
                $edits,
                $seen,
                static fn(int $at, string $field, string $reason): array => ["edits.{$at}.{$field}" => $reason],
            ),
        );
    }

    /** Lets a line go to another revision of its component. Whoever plans the order may decide that, not only who edits. */
    public function adopt(Person $by, string $number, string $itemNumber, string $line, string $revision): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber, $line, $revision): void {
            $row = HeldItem::forPlanner($number, $itemNumber);
            $edit = new ChangeLine($line, [LineField::Revision->value => $revision]);
            $this->write($row, $by, [$edit], (int) $row->edits->max('number'), self::atField(...));
        });
    }

    /**
     * All of them or none; each is judged by what the ones before it left.
     *
     * @param  list<Edit>  $edits
     * @param  \Closure(int, string, string): array<string, string>  $told  where and how a reason is told: which edit, its field, why
     */
    private function write(OrderItem $row, Person $by, array $edits, int $seen, \Closure $told): void
    {
        if ($edits === []) {
            return;
        }
        $draft = new Draft(Apply::all($this->structures->ofRevision($row->base_revision_id), OrderReader::activeEdits($row)));
        $edits = self::completed($edits);
        $unseen = EditGuard::unseen($row, $seen);
        $changes = $refused = [];
        foreach ($edits as $at => $edit) {
            $was = $draft->line($edit->line());
            try {
                EditGuard::refuseWhatOthersChanged($edit, $unseen[$edit->line()] ?? [], $was);
                $is = $draft->make($edit);
                if ($is !== null) {
                    $changes[$at] = [$is, $was];
                }
            } catch (Refusal $refusal) {
                $refused[$at] = $refusal;
            }
        }
        $refused += $this->guard->faults($row, $changes);
        ksort($refused);
        $reasons = [];
        foreach ($refused as $at => $refusal) {
            foreach ($refusal->reasons as $field => $reason) {
                $reasons += $told($at, $field, $reason);
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
        $this->keep($row, $by, $edits);
    }

    /** @return array<string, string> */
    private static function atField(int $at, string $field, string $reason): array
    {
        return [$field => $reason];
    }

    /** @param  list<Edit>  $edits */
    private function keep(OrderItem $row, Person $by, array $edits): void
    {
        $now = CarbonImmutable::now();
        $row->edits()
            ->whereNotNull('withdrawn_at')
            ->whereNull('discarded_at')
            ->update(['discarded_at' => $now]);
        $first = (int) $row->edits()->max('number') + 1;
        EditRecord::query()->insert(
            array_map(
                static fn(Edit $edit, int $at): array => [
                    'order_item_id' => $row->id,
                    'number' => $first + $at,
                    'operation' => $edit->operation()->value,
                    'version' => EditOperation::VERSION,
                    'line_key' => $edit->line(),
                    'fields' => json_encode((object) $edit->fields(), JSON_THROW_ON_ERROR),
                    'author_id' => $by->id,
                    'made_at' => $now,
                ],
                $edits,
                array_keys($edits),
            ),
        );
        $single = count($edits) === 1 ? $edits[0] : null;
        if ($single !== null) {
            $this->ledger->record($by->login, "structure.{$single->operation()->value}", $row->order->number, [
                'item' => $row->item->number,
                'line' => $single->line(),
                'fields' => $single->fields(),
            ]);
        } else {
            // What they are stands with the order and is never deleted; their hash shows that it stayed as it was.
            $this->ledger->record($by->login, 'structure.edited_together', $row->order->number, [
                'item' => $row->item->number,
                'edits' => count($edits),
                'first' => $first,
                'last' => $first + count($edits) - 1,
                'sha256' => hash(
                    'sha256',
                    json_encode(
                        array_map(
                            static fn(Edit $edit): array => [$edit->operation()->value, $edit->line(), (object) $edit->fields()],
                            $edits,
                        ),
                        JSON_THROW_ON_ERROR,
                    ),
                ),
            ]);
        }
    }

    /**
     * A new line gets its identity, and is counted in the unit of its component where nobody says otherwise.
     *
     * @param  list<Edit>  $edits
     * @return list<Edit>
     */
    private static function completed(array $edits): array
    {
        $wanting = array_filter(
            $edits,
            static fn(Edit $edit): bool => $edit->operation() === EditOperation::Add && ($edit->fields()['unit'] ?? '') === '',
        );
        $units =
            $wanting === []
                ? []
                : Item::query()
                    ->toBase()
                    ->whereIn('number', array_map(static fn(Edit $edit): string => $edit->fields()['component'] ?? '', $wanting))
                    ->pluck('unit', 'number')
                    ->all();

        return array_map(static function (Edit $edit) use ($units): Edit {
            if ($edit->operation() !== EditOperation::Add) {
                return $edit;
            }
            $unit = $units[$edit->fields()['component'] ?? ''] ?? null;

            return new AddLine(
                (string) Str::uuid7(),
                ($edit->fields()['unit'] ?? '') === '' && is_string($unit) ? ['unit' => $unit] + $edit->fields() : $edit->fields(),
            );
        }, $edits);
    }

    /**
     * Makes the lines of an item what they are to be, all of it or nothing: one edit for each line that differs.
     *
     * @param  int  $seen  the number of the newest edit that the lines were written from
     * @return int how many edits it took
     */
    public function makeAll(Person $by, string $number, string $itemNumber, Structure $wanted, int $seen): int
    {
        return $this->ledger->together(function () use ($by, $number, $itemNumber, $wanted, $seen): int {
            $row = HeldItem::forEditor($by, $number, $itemNumber);
            $now = Apply::all($this->structures->ofRevision($row->base_revision_id), OrderReader::activeEdits($row));
            $edits = Edits::between(Comparison::of($now, $wanted));
            $this->write($row, $by, $edits, $seen, static function (int $at, string $field, string $reason) use (
                $edits,
                $wanted,
                $now,
            ): array {
                $find = ($wanted->line($edits[$at]->line()) ?? $now->line($edits[$at]->line()))->find ?? 0;

                return ["line {$find}, {$field}" => "Line {$find}, {$field}: {$reason}"];
            });

            return count($edits);
        });
    }
}
