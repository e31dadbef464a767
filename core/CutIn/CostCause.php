<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** Where a cost comes from. */
enum CostCause: string
{
    case Stock = 'stock';
    case Receipt = 'receipt';
    /** More was ordered than was lacking, because of a minimum or a multiple. */
    case Lot = 'lot';
    /** An order that wants some of the part: placed, to be placed, or a sale. */
    case Wanted = 'wanted';
    case Hurried = 'hurried';
    case Missing = 'missing';
    case ExpeditingFee = 'fee';
    case UnderWay = 'under_way';
}
