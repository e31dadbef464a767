<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

/** Who has their way where two did different things to the same. */
enum Choice: string
{
    case Mine = 'mine';
    case Theirs = 'theirs';
}
