<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/**
 * The orders for one item at a plant that take parts: those that are placed, and one for each day on which there would be too little. Lists
 * side by side, because an array an order would cost more than netting it.
 */
final readonly class Orders
{
    /**
     * @param  list<int>  $begins  the first day of each
     * @param  list<int>  $quantities  millionths of each
     * @param  array<int, string>  $documents  of those that are placed, by place
     * @param  int  $late  millionths of those that would have had to begin before today
     */
    public function __construct(public array $begins, public array $quantities, public array $documents, public int $late) {}

    public function areNone(): bool
    {
        return $this->begins === [] && $this->late === 0;
    }
}
