<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Events;

use App\Ledger\Deed;

/** A step of the path of a request is signed. */
final readonly class RequestSigned extends Deed
{
    public const NAME = 'request.signed';

    /** @param  list<string>  $checks  rows of the check list that were ticked */
    public function __construct(
        string $by,
        string $of,
        public string $step,
        public string $digest,
        public array $checks,
        public string $reason,
    ) {
        parent::__construct($by, $of);
    }
}
