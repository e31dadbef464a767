<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** A part that a change touches, as it stands at one plant. */
final readonly class Part
{
    /**
     * @param  int  $stock  millionths that are free, what is kept for service included
     * @param  list<Receipt>  $receipts
     * @param  Money  $cost  of a good one
     * @param  Money  $disposal  what one that is left over costs, what it was worth included (less than nothing: what it brings)
     * @param  Money  $penalty  what one costs that is missing on the day it is wanted, and cannot be hurried
     * @param  ?int  $leadDays  working days until a new order of it arrives; null: nobody knows
     * @param  int  $safety  millionths of safety stock
     * @param  int  $keep  millionths for service: nothing else uses them, and they are nothing to be rid of
     * @param  bool  $isOrdered  whether it can still be ordered; after a last-time buy it cannot
     */
    public function __construct(
        public string $number,
        public int $stock,
        public array $receipts,
        public Demand $demand,
        public Money $cost,
        public Money $disposal,
        public Money $penalty,
        public ?int $leadDays,
        public int $safety = 0,
        public Lot $lot = new Lot(),
        public int $keep = 0,
        public ?Expediting $expediting = null,
        public bool $isOrdered = true,
    ) {}

    /**
     * The same with something else; what is not named stays.
     *
     * @param  ?list<Receipt>  $receipts
     */
    public function with(
        ?int $stock = null,
        ?array $receipts = null,
        ?Demand $demand = null,
        ?Money $cost = null,
        ?Money $disposal = null,
        ?Money $penalty = null,
        ?int $leadDays = null,
    ): self {
        return new self(
            number: $this->number,
            stock: $stock ?? $this->stock,
            receipts: $receipts ?? $this->receipts,
            demand: $demand ?? $this->demand,
            cost: $cost ?? $this->cost,
            disposal: $disposal ?? $this->disposal,
            penalty: $penalty ?? $this->penalty,
            leadDays: $leadDays ?? $this->leadDays,
            safety: $this->safety,
            lot: $this->lot,
            keep: $this->keep,
            expediting: $this->expediting,
            isOrdered: $this->isOrdered,
        );
    }
}
