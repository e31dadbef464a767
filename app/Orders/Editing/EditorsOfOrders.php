<?php

declare(strict_types=1);

namespace App\Orders\Editing;

use App\Ledger\Act;
use App\Orders\Models\ChangeOrder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Task\Editors;
use Orthotaxis\Core\Task\TaskBeforeReview;
use Orthotaxis\Core\Task\TaskState;

/** Who edits what under orders: their editors, and those who have editing tasks. What is read is kept for one request. */
final class EditorsOfOrders
{
    private const TASKS = <<<'SQL'
    SELECT t.id, t.number, t.change, t.title, t.state, t.holder_id, coalesce(s.subjects, '[]') AS subjects,
        t.before_review OR s.subjects IS NOT NULL AS before_review, t.before_release
    FROM tasks t
    LEFT JOIN LATERAL (
        SELECT jsonb_agg(jsonb_build_object('kind', s.kind, 'item', i.number, 'plant', s.plant) ORDER BY i.id, s.kind, s.plant) AS subjects
        FROM task_subjects s JOIN items i ON i.id = s.item_id
        WHERE s.task_id = t.id
    ) s ON true
    WHERE t.change IN (SELECT jsonb_array_elements_text(?::jsonb)) AND (t.before_review OR t.before_release OR s.subjects IS NOT NULL)
    ORDER BY t.id
    SQL;

    /** @var array<string, list<TaskBeforeReview>> by number of the order */
    private array $tasks = [];

    /** @var array<string, list<string>> tasks before release that are not done, by number of the order; of those that have any */
    private array $beforeRelease = [];

    public function of(ChangeOrder $order): Editors
    {
        return $this->many(new Collection([$order]))[$order->id];
    }

    /** @return ?list<string> as an Order has them */
    public function openBeforeRelease(ChangeOrder $order): ?array
    {
        $this->many(new Collection([$order]));

        return $this->beforeRelease[$order->number] ?? null;
    }

    /** After an act that changes tasks they are read anew: an import or a seed goes on for long. */
    public function handle(Act $act): void
    {
        if (str_starts_with($act->name(), 'task.')) {
            $this->tasks = $this->beforeRelease = [];
        }
    }

    /**
     * @param  Collection<int, ChangeOrder>  $orders
     * @return array<int, Editors> by id
     */
    public function many(Collection $orders): array
    {
        $unread = $orders->pluck('number')->reject(fn(string $number): bool => isset($this->tasks[$number]))->values();
        if ($unread->isNotEmpty()) {
            $this->tasks += array_fill_keys($unread->all(), []);
            foreach (DB::select(self::TASKS, [json_encode($unread, JSON_THROW_ON_ERROR)]) as $row) {
                if ($row->before_review) {
                    $this->tasks[$row->change][] = self::task($row);
                }
                if ($row->before_release) {
                    $open = TaskState::from($row->state)->isOpen() ? ["{$row->number} {$row->title}"] : [];
                    $this->beforeRelease[$row->change] = [...$this->beforeRelease[$row->change] ?? [], ...$open];
                }
            }
        }

        return $orders
            ->keyBy('id')
            ->map(fn(ChangeOrder $order): Editors => new Editors($order->editor_id, $this->tasks[$order->number]))
            ->all();
    }

    private static function task(\stdClass $row): TaskBeforeReview
    {
        /** @var list<array{kind: string, item: string, plant: string}> $subjects */
        $subjects = json_decode($row->subjects, true, flags: JSON_THROW_ON_ERROR);

        return new TaskBeforeReview(
            $row->id,
            $row->number,
            $row->title,
            state: TaskState::from($row->state),
            holder: $row->holder_id,
            subjects: array_map(static fn(array $one): Subject => new Subject($one['kind'], $one['item'], $one['plant']), $subjects),
        );
    }
}
