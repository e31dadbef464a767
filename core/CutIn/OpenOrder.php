<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** A work order that takes the old part. It straddles a day when it has begun before and is not done by then. */
final readonly class OpenOrder
{
    public function __construct(public string $document, public int $first, public int $done) {}
}
