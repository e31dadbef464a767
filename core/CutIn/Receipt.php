<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** What will come of a part: an order with its supplier, one of our own, or a transfer from another plant. */
final readonly class Receipt
{
    /**
     * @param  int  $day  from today, on which it is expected
     * @param  int  $quantity  millionths
     * @param  ?Money  $cancelFee  what it costs to cancel all of it; null where it cannot be cancelled
     * @param  ?int  $cancelBy  the last day on which it can be cancelled; null: any
     * @param  ?int  $due  when it was to come, where that is over: then the day is what somebody expects
     */
    public function __construct(
        public string $document,
        public int $day,
        public int $quantity,
        public ?Money $cancelFee = null,
        public ?int $cancelBy = null,
        public ?int $due = null,
    ) {}

    /** Whether there is still time to cancel it. */
    public function canBeCancelled(): bool
    {
        return $this->cancelFee !== null && $this->quantity > 0 && ($this->cancelBy ?? 0) >= 0;
    }

    /** The same with something else; what is not named stays. */
    public function with(?int $quantity = null, ?Money $cancelFee = null): self
    {
        return new self(
            document: $this->document,
            day: $this->day,
            quantity: $quantity ?? $this->quantity,
            cancelFee: $cancelFee ?? $this->cancelFee,
            cancelBy: $this->cancelBy,
            due: $this->due,
        );
    }
}
