<?php

declare(strict_types=1);

namespace App\Manufacturing\Actions;

use App\Http\Stale;
use App\Manufacturing\BuiltRefusals;
use App\Manufacturing\ManufacturingContents;
use App\Orders\Actions\HeldWork;
use App\Orders\Actions\KeepEdits;
use App\Orders\Models\WorkRecord;
use App\Orders\Strokes\SubjectEdits;
use App\People\Models\Person;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Refusal;

/** What an order does to what a plant builds of an item: held while it is edited, and kept once nothing speaks against it. */
final readonly class BuiltWork
{
    public function __construct(private BuiltRefusals $refusals) {}

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
        $refused = $this->refusals->of([new SubjectEdits($work, $edits)])[0] ?? [];
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
