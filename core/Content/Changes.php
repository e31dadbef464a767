<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

/** What differs between two contents of one subject; counted without what is the same. */
interface Changes extends \Countable
{
    /**
     * The parts that differ and that matter to whoever buys, builds or keeps the item.
     *
     * @return list<array{?string, ?string}> key before and key after; null: there is no such part
     */
    public function parts(): array;
}
