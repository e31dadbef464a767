<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use App\Structures\Index\LineRows;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Comparison\LineSet;
use Orthotaxis\Core\Comparison\Side;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\StructureKind;

/** The released structure of a picture on a day, as a side of a comparison. Items are named by their positions in the index. */
final readonly class IndexSide implements NamedSide
{
    private int $dayNumber;

    /** @var array<int, list<array{int, int, int, int, int}>> by item: what comes out of it; read by, identity, digest, component, span */
    private array $byProducts;

    /** @param  bool  $operations  whether the operations of lines are compared; only manufacturing structures have any */
    public function __construct(public StructureIndex $index, public StructureView $view, public Day $day, private bool $operations = true)
    {
        $this->dayNumber = $day->number();
        $byProducts = [];
        if ($operations && $view->kind === StructureKind::Manufacturing) {
            foreach ((new LineRows())->byProducts($view) as $row) {
                // As with lines that are in no version: known by the number in the database, told apart by the sign.
                $byProducts[$index->positions->of($row['parent'])][] = [
                    -$row['line'],
                    $row['identity'],
                    $row['digest'],
                    $index->positions->of($row['item']),
                    $row['span'],
                ];
            }
        }
        $this->byProducts = $byProducts;
    }

    public function lines(int $item): LineSet
    {
        $lines = $this->goingIn($item);
        foreach ($this->byProducts[$item] ?? [] as [$id, $identity, $digest, $component, $span]) {
            if (Span::holdsOn($span, $this->dayNumber)) {
                $lines = $lines->with($id, $identity, $digest, $component);
            }
        }

        return $lines;
    }

    private function goingIn(int $item): LineSet
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
