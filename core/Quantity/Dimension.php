<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Quantity;

enum Dimension
{
    case Count;
    case Length;
    case Mass;
    case Volume;
    case Area;
}
