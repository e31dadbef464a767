<?php

declare(strict_types=1);

namespace Orthotaxis\Core\FollowThrough;

/** What is done about a stock lot or an open document that still names what an order replaced. */
enum Way: string
{
    /** It is used or built as it is, until there is none left. */
    case RunOut = 'run_out';

    /** It is made to name what comes. */
    case ChangeOver = 'change_over';

    case Rework = 'rework';
    case Return = 'return';
    case Scrap = 'scrap';
    case Cancel = 'cancel';

    /** It stays, with a reason: nothing has to be done. */
    case Accept = 'accept';
}
