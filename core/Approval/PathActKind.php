<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

enum PathActKind: string
{
    case Signed = 'signed';
    case SentBack = 'sent_back';
    case Skipped = 'skipped';
    case Reassigned = 'reassigned';
}
