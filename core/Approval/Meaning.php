<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

/** What a signature says (21 CFR 11.50): its meaning stands with it, on screen and on paper. */
enum Meaning: string
{
    case Reviewed = 'reviewed';
    case Approved = 'approved';
    /** Takes responsibility for what was done. */
    case Responsible = 'responsible';
}
