<?php

declare(strict_types=1);

namespace App\Outgoing\Events;

use App\Ledger\Deed;

/** A webhook is added, or told of other events, or goes elsewhere. */
final readonly class WebhookSet extends Deed
{
    public const NAME = 'webhook.set';

    /** @param  list<string>  $events */
    public function __construct(
        string $by,
        string $of,
        public string $name,
        public string $address,
        public array $events,
        public bool $retired,
    ) {
        parent::__construct($by, $of);
    }
}
