<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\NewerBroughtIn;
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
            $work = HeldWork::forEditor($by, $number, $itemNumber);
            $newest = $work->row->item->workBase()?->id;
            $active = $work->lineEdits();
            $moved = Rebase::onto($this->structures->ofContent($work->base_id), $this->structures->ofContent($newest), $active);
            $lines = [];
            foreach ($active as $i => $edit) {
                if ($moved[$i]->part() !== $edit->part()) {
                    $lines[$edit->part()] = $moved[$i]->part();
                }
            }
            foreach ($lines as $was => $is) {
                $work
                    ->edits()
                    ->where('part', $was)
                    ->update(['part' => $is]);
            }
            $work->update(['base_id' => $newest]);
            event(new NewerBroughtIn($by->login, $number, $itemNumber, $work->row->item->released?->code, $lines));
        });
    }
}
