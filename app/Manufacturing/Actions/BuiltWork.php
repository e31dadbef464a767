<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Http\Stale;
use App\Manufacturing\ManufacturingContents;
use App\Manufacturing\RoutingGuard;
use App\Orders\Actions\HeldWork;
use App\Orders\Actions\KeepEdits;
use App\Orders\EditGuard;
use App\Orders\Models\WorkRecord;
use App\Orders\WorkContents;
use App\People\Models\Person;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Manufacturing\ManufacturingDraft;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\OperationEdit;

/** What an order does to what a plant builds of an item: held while it is edited, and kept once nothing speaks against it. */
final readonly class BuiltWork
{
    public function __construct(private WorkContents $works, private EditGuard $lines, private RoutingGuard $operations) {}

    /**
     * @param  ?int  $seen  the number of the newest edit that was on screen; null: it does not matter
     *
     * @throws Stale when somebody has edited it since
     * @throws Refusal when the person cannot edit it now
     */
    public static function hold(Person $by, string $order, string $item, string $plant, ?int $seen): WorkRecord
    {
        return HeldWork::onSubject($by, $order, $item, ManufacturingContents::NAME, $plant, $seen);
    }

    /**
     * All of them or none; each is judged by what the ones before it left.
     *
     * @param  non-empty-list<Edit>  $edits
     * @param  ?\Closure(int, string): string  $place  where a reason is told: which edit, its field; null: at the field
     * @param  ?string  $stroke  of what is done together to several subjects
     *
     * @throws Refusal when one does not fit, or names what there is not
     */
    public function keep(WorkRecord $work, Person $by, array $edits, ?\Closure $place = null, ?string $stroke = null): void
    {
        $draft = new ManufacturingDraft(ManufacturingContents::built($this->works->after($work)));
        $refused = $lines = $operations = [];
        foreach ($edits as $at => $edit) {
            $line = $draft->line($edit->part());
            $operation = $draft->operation($edit->part());
            try {
                $draft->make($edit);
                $lineNow = $edit instanceof LineEdit ? $draft->line($edit->part()) : null;
                $operationNow = $edit instanceof OperationEdit ? $draft->operation($edit->part()) : null;
                if ($lineNow !== null) {
                    $lines[$at] = [$lineNow, $line];
                }
                if ($operationNow !== null) {
                    $operations[$at] = [$operationNow, $operation];
                }
            } catch (Refusal $refusal) {
                $refused[$at] = $refusal;
            }
        }
        $refused += $this->lines->faults($work, $lines) + $this->operations->faults($work->plant, $operations);
        ksort($refused);
        $reasons = [];
        foreach ($refused as $at => $refusal) {
            foreach ($refusal->reasons as $field => $reason) {
                $reasons[$place === null ? $field : $place($at, $field)] ??= $reason;
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
        KeepEdits::of($work, $by, $edits, $stroke);
    }
}
