<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

/** What one row of a file of what plants build is about. */
enum BuildRecord: string
{
    case Operation = 'operation';
    case Line = 'line';
    /** An engineering line that is not taken over as it stands. */
    case OnRecord = 'on_record';
}
