<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Quantity\Money;

/** What one operation costs for each unit made; null where it is not known. */
final readonly class OperationCost
{
    /** @param  string  $missing  what is not known of it, in words; empty: all is */
    public function __construct(
        public Operation $operation,
        public ?Money $labour,
        public ?Money $setUp,
        public ?Money $subcontract,
        public string $missing = '',
    ) {}

    /** What is known of it. */
    public function total(): Money
    {
        $total = Money::zero();
        foreach ([$this->labour, $this->setUp, $this->subcontract] as $part) {
            $total = $part === null ? $total : $total->plus($part);
        }

        return $total;
    }
}
