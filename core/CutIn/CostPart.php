<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

/** The parts that the cost of a day is made of. */
enum CostPart: string
{
    case Leftover = 'leftover';
    case Cancellation = 'cancellation';
    case Shortage = 'shortage';
    case Straddling = 'straddling';
    case Recurring = 'recurring';
}
