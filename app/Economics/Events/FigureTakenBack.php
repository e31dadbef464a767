<?php

declare(strict_types=1);

namespace App\Economics\Events;

use App\Ledger\Deed;

/** A figure counts no longer. */
final readonly class FigureTakenBack extends Deed
{
    public const NAME = 'figure.taken_back';

    public function __construct(string $by, string $of, public string $kind, public string $subject)
    {
        parent::__construct($by, $of);
    }
}
