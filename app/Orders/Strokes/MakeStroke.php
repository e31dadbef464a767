<?php

declare(strict_types=1);

namespace App\Orders\Strokes;

use App\Orders\Actions\HeldWork;
use App\Orders\Editing\EditorsOfOrders;
use App\Orders\Events\StrokeMade;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\EditRecord;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Subjects\EditsTogether;
use App\Orders\Subjects\SubjectEditors;
use App\People\Models\Person;
use App\Tables\CopyInto;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Task\Editors;

/**
 * Edits many subjects of an order at once: all of it or nothing, one act and one undo, in a number of queries that does not depend on how
 * many.
 */
final readonly class MakeStroke
{
    /** Rows of edits that are written in one statement. */
    private const COLUMNS = [
        'work_id',
        'number',
        'act',
        'operation',
        'version',
        'part',
        'fields',
        'stroke',
        'task_id',
        'author_id',
        'made_at',
    ];

    public function __construct(private SubjectEditors $editors) {}

    /**
     * @param  ChangeOrder  $order  held
     * @param  non-empty-list<SubjectEdits>  $all  held
     * @param  string  $what  is done, in words
     * @param  \Closure(int, int, string, string): array<string, string>  $told  where and how a reason is told: which subject, which of its
     *     edits, its field, why
     * @return string the stroke
     *
     * @throws Refusal with every edit that cannot be so
     */
    public function of(Person $by, ChangeOrder $order, array $all, string $what, \Closure $told): string
    {
        self::mustEdit($by, $order, $all);
        $reasons = [];
        foreach (self::byKind($all) as $kind => $some) {
            $editor = $this->editors->of($kind);
            $refusals =
                $editor instanceof EditsTogether
                    ? $editor->refusals(array_values($some))
                    : throw Refusal::at('work', "{$kind} has no lines.");
            foreach ($refusals as $place => $ofSubject) {
                foreach ($ofSubject as $at => $refusal) {
                    foreach ($refusal->reasons as $field => $reason) {
                        $reasons += $told(array_keys($some)[$place], $at, $field, $reason);
                    }
                }
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
        $stroke = (string) Str::uuid7();
        self::write($by, app(EditorsOfOrders::class)->of($order), $all, $stroke);
        event(new StrokeMade($by->login, $order->number, $stroke, $what, $all));

        return $stroke;
    }

    /**
     * @param  list<SubjectEdits>  $all
     * @return array<string, array<int, SubjectEdits>> by kind and place
     */
    private static function byKind(array $all): array
    {
        $kinds = [];
        foreach ($all as $at => $one) {
            $kinds[$one->work->kind][$at] = $one;
        }

        return $kinds;
    }

    /**
     * Whoever plans the order may have anything done to it at once; others, what they edit.
     *
     * @param  list<SubjectEdits>  $all
     */
    private static function mustEdit(Person $by, ChangeOrder $order, array $all): void
    {
        if (OrderPolicy::refusal(OrderAct::Plan, $by, $order) !== null) {
            foreach ($all as $one) {
                HeldWork::mustEdit($by, $order, $one->work->subject());
            }
        }
    }

    /** @param  list<SubjectEdits>  $all */
    private static function write(Person $by, Editors $editors, array $all, string $stroke): void
    {
        $now = CarbonImmutable::now();
        // What was undone cannot come back once something else is done.
        EditRecord::query()
            ->whereIntegerInRaw('work_id', array_map(static fn(SubjectEdits $one): int => $one->work->id, $all))
            ->whereNotNull('withdrawn_at')
            ->whereNull('discarded_at')
            ->update(['discarded_at' => $now]);
        $copy = new CopyInto('edits', self::COLUMNS);
        foreach ($all as $one) {
            $first = (int) $one->work->edits->max('number') + 1;
            $task = $editors->taskOf($by->id, $one->work->subject())?->id;
            foreach ($one->edits as $at => $edit) {
                $copy->row([
                    $one->work->id,
                    $first + $at,
                    $first,
                    $edit->name(),
                    $edit->version(),
                    $edit->part(),
                    json_encode((object) $edit->fields(), JSON_THROW_ON_ERROR),
                    $stroke,
                    $task,
                    $by->id,
                    $now->format('Y-m-d H:i:s.uP'),
                ]);
            }
        }
        $copy->flush();
    }
}
