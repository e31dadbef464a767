<?php

declare(strict_types=1);

namespace App\Outgoing\Models;

/** How a message gets to another system. */
enum TargetKind: string
{
    case Http = 'http';
    case Sftp = 'sftp';
    case Folder = 'folder';
}
