<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

/** The kinds of stock and open documents that planning tells of. */
enum SupplyKind: string
{
    case Stock = 'stock';
    case WorkOrder = 'work_order';
    case PurchaseRequisition = 'purchase_requisition';
    case PurchaseOrder = 'purchase_order';
    case SubcontractOrder = 'subcontract_order';
    case Quote = 'quote';
    case SalesOrder = 'sales_order';
    case Forecast = 'forecast';

    /** Whether something comes of it. */
    public function isReceipt(): bool
    {
        return match ($this) {
            self::WorkOrder, self::PurchaseRequisition, self::PurchaseOrder, self::SubcontractOrder => true,
            default => false,
        };
    }
}
