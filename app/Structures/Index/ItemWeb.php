<?php

declare(strict_types=1);

namespace App\Structures\Index;

use Orthotaxis\Core\Adjacency\Neighbours;

/**
 * An index with the ids of items in the place of its positions, so that several pictures of the same items can be walked together. A
 * revision that a line names stands for its item.
 */
final class ItemWeb implements Neighbours
{
    /** @var array<int, int> id by position: asked again and again */
    private array $ids = [];

    /** @var array<int, list<int>> positions of single revisions, by id of their item */
    private array $pinned = [];

    public function __construct(private readonly StructureIndex $index)
    {
        foreach ($index->positions->allPinned() as $position) {
            $this->pinned[$index->positions->item($position)][] = $position;
        }
    }

    public function downOf(int $position): array
    {
        return $this->inIds($this->index->adjacency->downOf($this->index->positions->of($position)));
    }

    public function upOf(int $position): array
    {
        $list = $this->inIds($this->index->adjacency->upOf($this->index->positions->of($position)));
        foreach ($this->pinned[$position] ?? [] as $pinned) {
            array_push($list, ...array_slice($this->inIds($this->index->adjacency->upOf($pinned)), $list === [] ? 0 : 2));
        }

        return $list;
    }

    /**
     * @param  list<int>  $list
     * @return list<int>
     */
    private function inIds(array $list): array
    {
        for ($at = 2, $n = count($list); $at < $n; $at += 3) {
            $list[$at] = $this->ids[$list[$at]] ??= $this->index->positions->item($list[$at]);
        }

        return array_values($list);
    }
}
