<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** So much of the component is wanted on a day, for an order of a parent. */
final readonly class Requirement
{
    /**
     * @param  int  $day  from today
     * @param  int  $quantity  millionths of the component's unit
     * @param  ?int  $parent  its position; null for what is sold of the component itself
     * @param  string  $document  empty for an order that is not placed yet
     */
    public function __construct(public int $day, public int $quantity, public ?int $parent, public string $document) {}
}
