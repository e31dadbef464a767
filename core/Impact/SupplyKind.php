<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

/** The kinds of stock and open documents that planning tells of. */
enum SupplyKind: string
{
    case Stock = 'stock';
    case PurchaseOrder = 'purchase_order';
    case WorkOrder = 'work_order';
    case SalesOrder = 'sales_order';
}
