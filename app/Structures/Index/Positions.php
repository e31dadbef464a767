<?php

declare(strict_types=1);

namespace App\Structures\Index;

use Orthotaxis\Core\Adjacency\Adjacency;

/** Which node (an item, or one revision of it) stands at which position of the index. What came later stands after all others. */
final class Positions
{
    /** @var array<string, array<int, int>> */
    private array $blocks = [];

    /** @var array<int, int> node => position */
    private array $new = [];

    /**
     * @param  int  $lastItem  the highest id of an item that the version knows
     * @param  array<int, int>  $pinned  revision => its item, of all revisions that have a node in the version
     */
    public function __construct(
        private readonly ?string $folder,
        private readonly int $size,
        private readonly int $lastItem,
        private array $pinned = [],
    ) {}

    public function of(int $node): int
    {
        return $this->new[$node] ??
            (($this->knows($node) ? $this->block('positions', $node)[$node] ?? null : null) ??
                ($this->new[$node] = $this->size + count($this->new)));
    }

    /**
     * The position of a revision that a new line names.
     *
     * @return array{int, bool} the position; whether its own lines are still to be read
     */
    public function ofRevision(int $revision, int $item): array
    {
        $node = PinnedNode::of($revision);
        $unread = !isset($this->new[$node]) && !isset($this->pinned[$revision]);
        $position = $this->of($node);
        $this->pinned[$revision] = $item;

        return [$position, $unread];
    }

    /** Where a revision stands that released lines name; null when none does. */
    public function ofKnownRevision(int $revision): ?int
    {
        return isset($this->pinned[$revision]) ? $this->of(PinnedNode::of($revision)) : null;
    }

    /** @return list<int> the positions of all revisions of an item that some line names */
    public function pinnedOf(int $item): array
    {
        return array_map(fn(int $revision): int => $this->of(PinnedNode::of($revision)), array_keys($this->pinned, $item, true));
    }

    /** @return list<int> the positions of all revisions that some line names */
    public function allPinned(): array
    {
        return array_map(fn(int $revision): int => $this->of(PinnedNode::of($revision)), array_keys($this->pinned));
    }

    /** @return array<int, list<int>> the same of all items, by position of the item */
    public function pinnedByItem(): array
    {
        $positions = [];
        foreach ($this->pinned as $revision => $item) {
            $positions[$this->of($item)][] = $this->of(PinnedNode::of($revision));
        }

        return $positions;
    }

    /** The revision that stands there; null where whatever applies on the day does. */
    public function revision(int $position): ?int
    {
        return PinnedNode::revision($this->node($position));
    }

    /** @return int the item's id */
    public function item(int $position): int
    {
        $node = $this->node($position);

        return $node < PinnedNode::BASE ? $node : $this->pinned[$node - PinnedNode::BASE];
    }

    /**
     * What stands at some positions, as numbers that are the same however the lists were written.
     *
     * @param  list<int>  $positions
     * @return list<int>
     */
    public function nodes(array $positions): array
    {
        $later = array_keys($this->new);
        $nodes = [];
        foreach ($positions as $position) {
            $nodes[] =
                $position < $this->size
                    ? ($this->blocks['items-' . ($position >> Adjacency::BLOCK)] ?? $this->block('items', $position))[$position]
                    : $later[$position - $this->size];
        }

        return $nodes;
    }

    private function node(int $position): int
    {
        return $position < $this->size
            ? $this->block('items', $position)[$position]
            : array_keys($this->new)[$position - $this->size] ?? throw new \OutOfRangeException("No item stands at {$position}.");
    }

    private function knows(int $node): bool
    {
        return $node <= $this->lastItem ||
            ($node >= PinnedNode::BASE &&
                isset($this->pinned[$node - PinnedNode::BASE]) &&
                $this->folder !== null &&
                is_file("{$this->folder}/positions-" . ($node >> Adjacency::BLOCK) . '.php'));
    }

    /** Positions are below it. */
    public function end(): int
    {
        return $this->size + count($this->new);
    }

    /** @return array<int, int> */
    private function block(string $name, int $of): array
    {
        $key = $name . '-' . ($of >> Adjacency::BLOCK);

        /** @var array<int, int> */
        return $this->blocks[$key] ??= DamagedIndex::guard((string) $this->folder, $key);
    }
}
