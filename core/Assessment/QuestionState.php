<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Assessment;

enum QuestionState: string
{
    case Waiting = 'waiting';
    case Answered = 'answered';
    /** Answered: the change does not concern this item in this function. */
    case NoEffect = 'no_effect';
    case Withdrawn = 'withdrawn';
}
