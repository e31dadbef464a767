<?php

declare(strict_types=1);

namespace App\Attachments;

/** What a file is to the report or request it belongs to. */
enum AttachmentRole: string
{
    case Evidence = 'evidence';
    /** Drawn over a sheet here; the sheet is untouched. */
    case MarkUp = 'mark_up';
    /** The form as it came back. */
    case Form = 'form';
    /** What a specialist gave with an answer. */
    case Answer = 'answer';
}
