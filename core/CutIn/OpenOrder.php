<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/**
 * A work order that takes a part until the cut-in. One that is started straddles a day when it has begun before and is not done by then;
 * one that is not waits, or is begun earlier, and disturbs nobody.
 */
final readonly class OpenOrder
{
    public function __construct(public string $document, public int $first, public int $done, public bool $isStarted = true) {}

    public function straddles(int $day): bool
    {
        return $this->isStarted && $this->first < $day && $day < $this->done;
    }
}
