<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Quantity\Money;

/** What is done with one kind of supply of an item, and what that costs for one unit. */
final readonly class DispositionCost
{
    public function __construct(public Disposition $disposition, public Money $perUnit) {}

    /**
     * Unless somebody says otherwise: what is scrapped costs its value, using up costs nothing, and for the rest nothing is known but
     * what is said.
     */
    public static function usual(Disposition $disposition, Money $unitValue): self
    {
        return new self($disposition, $disposition === Disposition::Scrap ? $unitValue : Money::zero());
    }

    /** @return list<SupplyKind> of which something has to become something */
    public static function kinds(): array
    {
        return [
            SupplyKind::Stock,
            SupplyKind::WorkOrder,
            SupplyKind::PurchaseRequisition,
            SupplyKind::PurchaseOrder,
            SupplyKind::SubcontractOrder,
        ];
    }

    public function of(ExposureTotal $total): Money
    {
        return $this->perUnit->times($total->quantity);
    }
}
