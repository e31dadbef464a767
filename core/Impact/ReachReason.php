<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

/** Why a change touches something. */
enum ReachReason: string
{
    case Affected = 'affected';
    case Document = 'document';
    case Plant = 'plant';
    case Operation = 'operation';
    case Tool = 'tool';
    case OpenChange = 'open_change';
    case Product = 'product';
    case Sibling = 'sibling';
    case Parent = 'parent';
}
