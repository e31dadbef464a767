<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Notice;

/** Why somebody is told of an event, the strongest reason first. */
enum Cause: string
{
    /** Something is needed of them. */
    case ToDo = 'to_do';
    /** A comment names them. */
    case Mentioned = 'mentioned';
    /** It is addressed to them: they are on a distribution list. */
    case Informed = 'informed';
    /** They take part in the change: asked for it, plan it, edit it, sign it. */
    case TakesPart = 'takes_part';
    case Watches = 'watches';
}
