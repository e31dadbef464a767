<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

/** Where a form is that was handed out. */
enum FormState: string
{
    case Out = 'out';
    case TakenIn = 'taken_in';
    case Withdrawn = 'withdrawn';
}
