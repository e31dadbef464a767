<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

/** What a person may do in a content control (ECMA-376, part 1, 17.5.2). */
enum ControlKind: string
{
    case Text = 'text';
    case Check = 'check';
    case Date = 'date';
    case Choice = 'choice';
    case Picture = 'picture';
}
