<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** How something belongs to an item on an order. */
enum BelongingKind: string
{
    /** A drawing or document that describes the item. */
    case Document = 'document';

    /** An instruction, a specification or a tool that an operation names. */
    case Operation = 'operation';

    /** The design model of the item itself. */
    case Model = 'model';

    /** A component of which a line names a revision. */
    case Line = 'line';
}
