<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Events;

use App\Ledger\Deed;

/** A request goes on another path, or on none. */
final readonly class RequestPathChosen extends Deed
{
    public const NAME = 'request.path_chosen';

    /** @param  ?string  $path  its code; null: one person decides */
    public function __construct(string $by, string $of, public ?string $path, public bool $byRule)
    {
        parent::__construct($by, $of);
    }
}
