<?php

declare(strict_types=1);

namespace App\Orders\Worksheet;

use App\Orders\Models\ChangeOrder;
use App\Orders\Models\OrderItem;
use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use App\Orders\WorkContents;
use App\Structures\Models\Content;
use App\Structures\StructureReader;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Structure;

/**
 * All that has lines and that an order changes, or may: engineering of what it revises, and what each plant builds of its items. Read in
 * a number of queries that does not depend on how many.
 */
final readonly class SubjectsOfOrder
{
    private const KINDS = [Subject::ENGINEERING, Subject::MANUFACTURING];

    public function __construct(private StructureReader $structures, private WorkContents $works) {}

    /** @return list<SubjectLines> in the order in which the items were named, engineering first, then plant by plant */
    public function of(ChangeOrder $order): array
    {
        $order->loadMissing(['items.item', 'items.works.edits.author', 'items.works.edits.task', 'items.works.base']);
        $subjects = [];
        $released = $order->state->isAhead() ? self::released($order->items) : [];
        foreach ($order->items as $row) {
            foreach (self::ofRow($order->number, $row, $released[$row->item_id] ?? []) as $subject) {
                $subjects[] = $subject;
            }
        }
        $bases = array_values(array_filter(array_column($subjects, 'base'), is_int(...)));
        $structures = $this->structures->ofContents($bases);
        $edited = array_filter(
            array_column($subjects, 'work'),
            static fn(?WorkRecord $work): bool => $work !== null && $work->holding()->isNotEmpty(),
        );
        $after = $this->works->afterAll(array_values($edited));

        return array_map(static function (array $one) use ($structures, $after): SubjectLines {
            $before = $structures[$one['base']] ?? new Structure();
            $content = $one['work'] === null ? null : $after[$one['work']->id] ?? null;

            return new SubjectLines(
                $one['named'],
                $one['work'],
                $before,
                $content instanceof HasLines ? $content->lines() : $before,
                $content !== null && $one['newest'] !== null && $one['newest'] !== $one['base'],
            );
        }, $subjects);
    }

    /**
     * @param  array<string, int>  $released  contents by kind and plant
     * @return list<array{named: NamedWork, work: ?WorkRecord, base: ?int, newest: ?int}>
     */
    private static function ofRow(string $order, OrderItem $row, array $released): array
    {
        $works = $row->works->keyBy(static fn(WorkRecord $work): string => "{$work->kind} {$work->plant}");
        $keys = array_unique([...$works->keys()->all(), ...array_keys($released)]);
        sort($keys);
        $subjects = [];
        foreach ($keys as $key) {
            [$kind, $plant] = explode(' ', $key, 2);
            if (!in_array($kind, self::KINDS, true) || !$row->outcome->mayChange($kind)) {
                continue;
            }
            $work = $works[$key] ?? null;
            $work?->setRelation('row', $row);
            $subjects[] = [
                'named' => new NamedWork($order, $row->item->number, $kind, $plant),
                'work' => $work,
                // What is begun goes on from what it was begun with; what is not, from what is released now.
                'base' =>
                    $work !== null && ($work->holding()->isNotEmpty() || $kind === Subject::ENGINEERING)
                        ? $work->base_id
                        : $released[$key] ?? $work?->base_id,
                'newest' => $released[$key] ?? null,
            ];
        }

        return $subjects;
    }

    /**
     * @param  Collection<int, OrderItem>  $rows
     * @return array<int, array<string, int>> contents that are released now, by item, kind and plant
     */
    private static function released(Collection $rows): array
    {
        $contents = Content::query()
            ->where('status', RevisionStatus::Released)
            ->whereIn('kind', self::KINDS)
            ->whereIn('item_id', $rows->pluck('item_id'))
            ->get(['id', 'item_id', 'kind', 'plant']);
        $released = [];
        foreach ($contents as $content) {
            $released[$content->item_id]["{$content->kind} {$content->plant}"] = $content->id;
        }

        return $released;
    }
}
