<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Events;

use App\Ledger\Deed;

/** What was signed of a request is void: it is not any more what was signed. */
final readonly class RequestSignaturesVoid extends Deed
{
    public const NAME = 'request.signatures_void';

    /** @param  list<string>  $signers  sign-in names */
    public function __construct(string $by, string $of, public array $signers)
    {
        parent::__construct($by, $of);
    }
}
