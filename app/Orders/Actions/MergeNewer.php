<?php

declare(strict_types=1);

namespace App\Orders\Actions;

use App\Ledger\Ledger;
use App\Orders\Events\NewerBroughtIn;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use App\Orders\Subjects\SubjectEditors;
use App\Orders\WorkContents;
use App\People\Models\Person;
use App\Structures\Models\Content;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Content\Choice;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Refusal;

/** Another order has released a subject meanwhile: the work on it goes on from that. */
final readonly class MergeNewer
{
    public function __construct(private SubjectEditors $editors, private WorkContents $works, private Ledger $ledger) {}

    /**
     * @param  array<string, Choice>  $choices  by the key of the conflict
     *
     * @throws Refusal at each conflict about which nobody has chosen
     */
    public function merge(Person $by, NamedWork $named, array $choices): void
    {
        $this->ledger->together(function () use ($by, $named, $choices): void {
            $work = $this->editors->of($named->kind)->hold($by, $named, null);
            $newest = $work->newestBase();
            if ($newest === $work->base_id) {
                return;
            }
            $holding = $work->holding();
            $resolved = $this->works->merge($work, $newest)->resolved($choices);
            $mine = $holding->map(fn(EditRecord $edit): Edit => $this->works->edit($work, $edit))->all();
            if ($resolved != $mine) {
                self::rewrite($work, $holding->all(), $resolved);
            }
            $work->update(['base_id' => $newest]);
            $code = Content::query()->find($newest)?->code;
            event(
                new NewerBroughtIn(
                    by: $by->login,
                    of: $named->order,
                    item: $named->item,
                    subject: $named->subject(),
                    revision: $code,
                    choices: self::told($choices),
                ),
            );
        });
    }

    /**
     * What was done stays on record as it was, so that iterations still read it; it goes on as it is of the newer one.
     *
     * @param  array<EditRecord>  $was
     * @param  list<?Edit>  $is  in the same order
     */
    private static function rewrite(WorkRecord $work, array $was, array $is): void
    {
        $now = CarbonImmutable::now();
        $work
            ->edits()
            ->whereNull('discarded_at')
            ->update(['discarded_at' => $now, 'withdrawn_at' => $now]);
        $number = (int) $work->edits()->max('number');
        $rows = [];
        foreach (array_values($was) as $at => $edit) {
            $moved = $is[$at];
            if ($moved !== null) {
                $rows[] = [
                    'work_id' => $work->id,
                    'number' => ++$number,
                    'act' => $edit->act,
                    'stroke' => $edit->stroke,
                    'operation' => $moved->name(),
                    'version' => $moved->version(),
                    'part' => $moved->part(),
                    'fields' => json_encode((object) $moved->fields(), JSON_THROW_ON_ERROR),
                    'task_id' => $edit->task_id,
                    'author_id' => $edit->author_id,
                    'made_at' => $edit->made_at,
                ];
            }
        }
        EditRecord::query()->insert($rows);
    }

    /**
     * @param  array<string, Choice>  $choices
     * @return array<string, string>
     */
    private static function told(array $choices): array
    {
        return array_map(static fn(Choice $choice): string => $choice->value, $choices);
    }
}
