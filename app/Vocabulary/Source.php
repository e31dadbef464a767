<?php

declare(strict_types=1);

namespace App\Vocabulary;

/** Where the wish for a change comes from. */
enum Source: string
{
    case Field = 'field';
    case ShopFloor = 'shop_floor';
    case Supplier = 'supplier';
    case Audit = 'audit';
    case Sales = 'sales';
    case Engineering = 'engineering';
}
