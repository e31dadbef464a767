<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Orders\Editing\EditorsOfOrders;
use App\Orders\Events\PartEdited;
use App\Orders\Events\PartsEdited;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Content\Edit;

/** Writes edits down that have been found to fit, whatever the kind of their subject: one insert and one record. */
final readonly class KeepEdits
{
    /**
     * @param  WorkRecord  $work  held, with its order and item
     * @param  non-empty-list<Edit>  $edits
     * @param  ?string  $stroke  of what is done together to several subjects
     */
    public static function of(WorkRecord $work, Person $by, array $edits, ?string $stroke = null): void
    {
        $now = CarbonImmutable::now();
        // What was undone cannot come back once something else is done.
        $work
            ->edits()
            ->whereNotNull('withdrawn_at')
            ->whereNull('discarded_at')
            ->update(['discarded_at' => $now]);
        $first = (int) $work->edits()->max('number') + 1;
        $task = app(EditorsOfOrders::class)->of($work->row->order)->taskOf($by->id, $work->subject())?->id;
        EditRecord::query()->insert(
            array_map(
                static fn(Edit $edit, int $at): array => [
                    'work_id' => $work->id,
                    'number' => $first + $at,
                    'act' => $first,
                    'stroke' => $stroke,
                    'operation' => $edit->name(),
                    'version' => $edit->version(),
                    'part' => $edit->part(),
                    'fields' => json_encode((object) $edit->fields(), JSON_THROW_ON_ERROR),
                    'task_id' => $task,
                    'author_id' => $by->id,
                    'made_at' => $now,
                ],
                $edits,
                array_keys($edits),
            ),
        );
        $order = $work->row->order->number;
        event(
            count($edits) === 1
                ? new PartEdited($by->login, $order, $work->subject(), $edits[0])
                : new PartsEdited($by->login, $order, $work->subject(), $edits, $first),
        );
    }
}
