<?php

declare(strict_types=1);

namespace App\Structures\Index;

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\Lists;

/** The lists of one version of the index, each block read once for a request. Without a version there are none. */
final class IndexLists implements Lists
{
    /** @var array<string, array<int, array<array-key, mixed>>> name => block => what the file returns */
    private array $blocks = [];

    /** @param  int  $size  how many positions the version has */
    public function __construct(private readonly ?string $folder, private readonly int $size) {}

    public function down(int $block): array
    {
        return $this->lists('down', $block);
    }

    public function up(int $block): array
    {
        return $this->lists('up', $block);
    }

    /**
     * @return array<int, array{list<int>, list<int>, list<int>}> position => what its lines are read by, their identities and digests,
     * in the order of the list
     */
    public function lines(int $block): array
    {
        /** @var array<int, array{list<int>, list<int>, list<int>}> */
        return $this->block('lines', $block);
    }

    /** @return array<int, list<int>> */
    private function lists(string $name, int $block): array
    {
        /** @var array<int, list<int>> */
        return $this->block($name, $block);
    }

    /** @return array<array-key, mixed> */
    private function block(string $name, int $block): array
    {
        if ($block << Adjacency::BLOCK >= $this->size) {
            return [];
        }

        return $this->blocks[$name][$block] ??= DamagedIndex::guard((string) $this->folder, "{$name}-{$block}");
    }
}
