<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

enum EditOperation: string
{
    case Add = 'add';
    case Remove = 'remove';
    case Replace = 'replace';
    case Change = 'change';
}
