<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Events;

use App\Ledger\Deed;

/** A step of the path of a request is given to others. */
final readonly class RequestStepGiven extends Deed
{
    public const NAME = 'request.step_reassigned';

    /** @param  list<string>  $to  sign-in names, and groups by their code behind "group:" */
    public function __construct(string $by, string $of, public string $step, public array $to, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
