<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Events;

use App\Ledger\Deed;

/** With the last task that a stage waited for, a request went on by itself. */
final readonly class RequestMovedOn extends Deed
{
    public const NAME = 'request.moved_on';

    /** @param  ?int  $stage  that is under way now; null: all is done */
    public function __construct(string $by, string $of, public ?int $stage)
    {
        parent::__construct($by, $of);
    }
}
