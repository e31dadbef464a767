<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/**
 * What something is used in on a day. A single revision counts only on days on which something uses it that counts itself:
 * a revision that is named by nothing but a revision nobody uses is not in use either.
 */
final class InUse
{
    /** @var array<int, true> */
    private readonly array $ifUsed;

    /** @var array<int, bool> */
    private array $known = [];

    /** @param  list<int>  $ifUsed  positions of single revisions */
    public function __construct(private readonly Adjacency $adjacency, private readonly int $day, array $ifUsed = [])
    {
        $this->ifUsed = array_fill_keys($ifUsed, true);
    }

    /** Whether it counts: always for an item, for a single revision when it is used. */
    public function counts(int $position): bool
    {
        if (!isset($this->ifUsed[$position])) {
            return true;
        }
        if (!isset($this->known[$position])) {
            // Where revisions go round in a circle, none of them is used by being in it.
            $this->known[$position] = false;
            $this->known[$position] = $this->isUsed($position);
        }

        return $this->known[$position];
    }

    /** Whether something that counts uses it. */
    public function isUsed(int $position): bool
    {
        $list = $this->adjacency->upOf($position);
        for ($i = 2, $n = count($list); $i < $n; $i += 3) {
            if (Span::holdsOn($list[$i + 2], $this->day) && (!isset($this->ifUsed[$list[$i]]) || $this->counts($list[$i]))) {
                return true;
            }
        }

        return false;
    }
}
