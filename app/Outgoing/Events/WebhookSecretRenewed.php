<?php

declare(strict_types=1);

namespace App\Outgoing\Events;

use App\Ledger\Deed;

/** What a webhook signs with is made anew. */
final readonly class WebhookSecretRenewed extends Deed
{
    public const NAME = 'webhook.secret_renewed';
}
