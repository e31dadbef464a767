<?php

declare(strict_types=1);

namespace App\Assessment;

/** What is asked about an item. */
enum Topic: string
{
    case Feasible = 'feasible';
    case Tooling = 'tooling';
    case Certificate = 'certificate';
    case Stock = 'stock';
    case Cost = 'cost';
    case Other = 'other';
}
