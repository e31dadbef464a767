<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Transfer;

/** How an edit made to one structure goes with another one. */
enum Fit: string
{
    /** The line is there and reads as it did where the edit was made. */
    case Fits = 'fits';
    /** The line is there and reads otherwise, or more than one can be meant: somebody decides. */
    case Differs = 'differs';
    /** There is nothing that the edit could be made to. */
    case None = 'none';
    /** It reads so already: there is nothing to do. */
    case Already = 'already';
}
