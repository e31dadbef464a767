<?php

declare(strict_types=1);

namespace App\Orders\DesignModel;

use App\Orders\Models\ChangeOrder;
use App\Orders\Replacing\ReplacementReader;
use App\Orders\WorkContents;
use App\Structures\ItemKind;
use App\Structures\Models\Item;
use App\Structures\StructureReader;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\DesignModel\Found;
use Orthotaxis\Core\DesignModel\ModelledAssembly;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Structure;

/** Where a design model says otherwise than the structures do, as the order makes them; in a fixed number of queries. */
final readonly class ModelDifferences
{
    public function __construct(private StructureReader $structures, private WorkContents $works) {}

    /**
     * @param  array<array-key, string>  $numbers  of what the file names, as far as it is known, by name
     * @return array<array-key, list<Found>> by what the file calls the assembly; those that do not differ are left out
     */
    public function of(ChangeOrder $order, ModelFile $file, array $numbers): array
    {
        $parents = array_values(array_intersect_key($numbers, $file->assemblies));
        $now = $this->now($order, $parents);
        $last = LastModels::of($parents);
        $shapeless = Item::query()
            ->whereIn('kind', ItemKind::shapeless())
            ->whereIn('number', array_merge(...array_map(static fn(Structure $one): array => $one->components(), array_values($now))))
            ->pluck('id', 'number')
            ->all();
        $units = Item::query()
            ->whereIn('number', array_values($numbers))
            ->get(['number', 'unit'])
            ->keyBy('number')
            ->map(static fn(Item $item) => $item->unit)
            ->all();
        $day = ReplacementReader::effective($order);
        $differ = [];
        foreach ($file->assemblies as $name => $pieces) {
            $parent = $numbers[$name] ?? null;
            $assembly = new ModelledAssembly(self::named($pieces, $numbers), self::named($file->designators[$name] ?? [], $numbers));
            $found = $assembly->against(
                ($now[$parent ?? ''] ?? new Structure())->on($day),
                $parent === null ? null : $last[$parent] ?? null,
                $units,
                $shapeless,
            );
            if ($found !== []) {
                $differ[$name] = $found;
            }
        }

        return $differ;
    }

    /**
     * @template T
     *
     * @param  array<array-key, T>  $of  by what the file calls a component
     * @param  array<array-key, string>  $numbers
     * @return array<array-key, T> by number, where there is one
     */
    private static function named(array $of, array $numbers): array
    {
        $named = [];
        foreach ($of as $name => $value) {
            $named[$numbers[$name] ?? $name] = $value;
        }

        return $named;
    }

    /**
     * @param  list<string>  $numbers
     * @return array<array-key, Structure> by number
     */
    private function now(ChangeOrder $order, array $numbers): array
    {
        $items = Item::query()->with('released')->whereIn('number', $numbers)->get();
        $rows = $order
            ->items()
            ->with(['works.edits.author', 'works.base'])
            ->whereIn('item_id', $items->pluck('id'))
            ->get()
            ->keyBy('item_id');
        $works = [];
        foreach ($items as $item) {
            $row = $rows->get($item->id)?->setRelation('order', $order)->setRelation('item', $item);
            $work = $row?->works->firstWhere('kind', Subject::ENGINEERING);
            if ($row !== null && $work !== null) {
                $works[$item->id] = $work->setRelation('row', $row);
            }
        }
        $after = $this->works->afterAll(array_values($works));
        $released = $this->structures->ofContents(
            $items->map(static fn(Item $item): ?int => $item->released?->id)->filter()->values()->all(),
        );
        $now = [];
        foreach ($items as $item) {
            $content = isset($works[$item->id]) ? $after[$works[$item->id]->id] ?? null : null;
            $now[$item->number] = $content instanceof HasLines ? $content->lines() : $released[$item->released->id ?? 0] ?? new Structure();
        }

        return $now;
    }
}
