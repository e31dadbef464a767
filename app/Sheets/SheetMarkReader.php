<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Documents\Models\ItemFile;
use App\Documents\RevisionWork;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\People\Models\Person;
use App\Sheets\Data\SheetMarkRow;
use App\Sheets\Data\SheetMarks;
use App\Sheets\Models\SheetMark;
use Orthotaxis\Core\Refusal;

/** Reads the marks of change on a sheet, and the revision they bear: of a draft the one that its order makes. */
final readonly class SheetMarkReader
{
    public function __construct(private OrderReader $orders, private RevisionWork $work) {}

    public function of(ItemFile $file, Person $person): SheetMarks
    {
        $marks = SheetMark::query()->with('person')->where('file_id', $file->id)->orderBy('page')->orderBy('top')->orderBy('left')->get();

        return new SheetMarks($this->revision($file), $this->may($file, $person), $marks->map(SheetMarkRow::of(...))->values()->all());
    }

    private function revision(ItemFile $file): string
    {
        $order = $file->revision_id === null && $file->order_id !== null ? ChangeOrder::query()->find($file->order_id) : null;
        foreach ($order === null ? [] : $this->orders->toCore($order)->works() as $work) {
            if ($work->subject->item === $file->item->number) {
                return $work->base->becomes();
            }
        }

        return $file->revision->code ?? '';
    }

    private function may(ItemFile $file, Person $person): bool
    {
        if ($file->revision_id !== null) {
            return false;
        }
        try {
            $this->work->mayTakeAway($person, $file->item, $file->order_id);

            return true;
        } catch (Refusal) {
            return false;
        }
    }
}
