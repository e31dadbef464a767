<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

/** How one item that a plant builds takes a component over. */
final readonly class Example
{
    /**
     * @param  ?OnRecord  $record  what is on record about it; null: nothing
     * @param  list<array{component: string, quantity: string, unit: string, operation: string, scrap: string}>  $parts  as typed
     */
    public function __construct(public ?OnRecord $record, public array $parts) {}
}
