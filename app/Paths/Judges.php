<?php

declare(strict_types=1);

namespace App\Paths;

/** What a path judges. */
enum Judges: string
{
    case Orders = 'orders';
    case Requests = 'requests';
}
