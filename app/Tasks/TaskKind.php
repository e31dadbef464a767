<?php

declare(strict_types=1);

namespace App\Tasks;

/** What kind of work a task is. */
enum TaskKind: string
{
    case Design = 'design';
    case Drawing = 'drawing';
    case Manufacturing = 'manufacturing';
    case Purchasing = 'purchasing';
    case Planning = 'planning';
    case Documents = 'documents';
    case Training = 'training';
    case Other = 'other';
}
