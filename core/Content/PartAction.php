<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

/** What whoever keeps a copy of a content has to do with one part of it. */
enum PartAction: string
{
    case Add = 'add';
    case Remove = 'remove';
    case Replace = 'replace';
    case Change = 'change';
    case Keep = 'keep';
}
