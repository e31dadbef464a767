<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\LineSet;
use Orthotaxis\Core\Comparison\Side;
use Orthotaxis\Core\Structure\Line;

/** The released structure of a picture on a day, as a side of a comparison. Items are named by their positions in the index. */
final readonly class IndexSide implements NamedSide
{
    private int $dayNumber;

    /** @param  bool  $operations  whether the operations of lines are compared; only manufacturing structures have any */
    public function __construct(public StructureIndex $index, public StructureView $view, public Day $day, private bool $operations = true)
    {
        $this->dayNumber = $day->number();
    }

    public function lines(int $item): LineSet
    {
        $list = $this->index->adjacency->downOf($item);
        [$ids, $identities, $digests] = $this->index->lines($item);
        $components = $gone = [];
        for ($i = 2, $n = count($list); $i < $n; $i += 3) {
            $components[] = $list[$i];
        }
        if ($list === [] || ($list[0] <= $this->dayNumber && $this->dayNumber < $list[1])) {
            return new LineSet($ids, $identities, $digests, $components);
        }
        for ($i = 4, $at = 0; $i < $n; $i += 3, $at++) {
            if (!Span::holdsOn($list[$i], $this->dayNumber)) {
                $gone[$at] = true;
            }
        }

        return new LineSet(
            ...array_map(static fn(array $column): array => array_values(array_diff_key($column, $gone)), [
                $ids,
                $identities,
                $digests,
                $components,
            ]),
        );
    }

    public function read(array $lines): array
    {
        $read = $this->index->read($lines);

        return $this->operations ? $read : array_map(static fn(Line $line): Line => $line->asEngineeringSees(), $read);
    }

    public function numbers(array $items): array
    {
        $ids = [];
        foreach ($items as $item) {
            $ids[$item] = $this->index->positions->item($item);
        }
        $numbers = Item::query()->whereIn('id', $ids)->pluck('number', 'id');

        return array_map(static fn(int $id): string => (string) $numbers[$id], $ids);
    }

    public function agreesBelow(Side $other): bool
    {
        return $other instanceof self && $other->view == $this->view && $other->dayNumber === $this->dayNumber;
    }

    public function isSame(int $item, Side $other, int $otherItem): bool
    {
        return $other instanceof FileSide ? $other->isSame($otherItem, $this, $item) : $item === $otherItem && $this->agreesBelow($other);
    }
}
