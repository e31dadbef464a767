<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\OrderReader;
use App\People\Models\Person;
use App\Structures\StructureReader;
use Orthotaxis\Core\Edit\Rebase;

final readonly class MergeNewer
{
    public function __construct(private StructureReader $structures, private Ledger $ledger) {}

    /** Another order has released the item meanwhile: the edits go onto that revision, when they do not touch the same. */
    public function merge(Person $by, string $number, string $itemNumber): void
    {
        $this->ledger->together(function () use ($by, $number, $itemNumber): void {
            $row = HeldItem::forEditor($by, $number, $itemNumber);
            $newest = $row->item->workBase()?->id;
            $active = OrderReader::activeEdits($row);
            $moved = Rebase::onto($this->structures->ofRevision($row->base_revision_id), $this->structures->ofRevision($newest), $active);
            $lines = [];
            foreach ($active as $i => $edit) {
                if ($moved[$i]->line() !== $edit->line()) {
                    $lines[$edit->line()] = $moved[$i]->line();
                }
            }
            foreach ($lines as $was => $is) {
                $row->edits()
                    ->where('line_key', $was)
                    ->update(['line_key' => $is]);
            }
            $row->update(['base_revision_id' => $newest]);
            $this->ledger->record(
                $by->login,
                'structure.newer_brought_in',
                $number,
                ['item' => $itemNumber, 'revision' => $row->item->released?->code] + ($lines === [] ? [] : ['lines' => $lines]),
            );
        });
    }
}
