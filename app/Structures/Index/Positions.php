<?php

declare(strict_types=1);

namespace App\Structures\Index;

use Orthotaxis\Core\Adjacency\Adjacency;

/** Which item stands at which position of the index. Items that came later stand after all others. */
final class Positions
{
    /** @var array<string, array<int, int>> */
    private array $blocks = [];

    /** @var array<int, int> item => position */
    private array $new = [];

    /** @param  int  $lastItem  the highest id that the version knows */
    public function __construct(private readonly ?string $folder, private readonly int $size, private readonly int $lastItem) {}

    public function of(int $item): int
    {
        return $this->new[$item] ?? ($item <= $this->lastItem ? $this->block('positions', $item)[$item] ?? null : null)
            ?? $this->new[$item] = $this->size + count($this->new);
    }

    /** @return int the item's id */
    public function item(int $position): int
    {
        return $position < $this->size
            ? $this->block('items', $position)[$position]
            : (array_keys($this->new)[$position - $this->size] ?? throw new \OutOfRangeException("No item stands at {$position}."));
    }

    /** Positions are below it. */
    public function end(): int
    {
        return $this->size + count($this->new);
    }

    /** @return array<int, int> */
    private function block(string $name, int $of): array
    {
        $key = $name.'-'.($of >> Adjacency::BLOCK);

        /** @var array<int, int> */
        return $this->blocks[$key] ??= require "{$this->folder}/{$key}.php";
    }
}
