<?php

declare(strict_types=1);

namespace App\Structures\Index;

/**
 * Where a line names one revision of its component, the index has a node for that revision beside the one of the item,
 * which stands for whatever applies on the day. Nodes of revisions have numbers beyond those of all items.
 */
final readonly class PinnedNode
{
    public const BASE = 1 << 40;

    public static function of(int $revision): int
    {
        return self::BASE + $revision;
    }

    /** @return ?int the revision; null for the node of an item */
    public static function revision(int $node): ?int
    {
        return $node >= self::BASE ? $node - self::BASE : null;
    }
}
