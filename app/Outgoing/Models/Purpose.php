<?php

declare(strict_types=1);

namespace App\Outgoing\Models;

/** What a channel is for. */
enum Purpose: string
{
    /** Webhooks: every event is a message. */
    case Events = 'events';
    /** Profiles: files of hand-overs. */
    case Files = 'files';
}
