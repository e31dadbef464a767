<?php

declare(strict_types=1);

namespace App\Attachments\Events;

use App\Ledger\Deed;

/** A file is taken away again. */
final readonly class FileTakenAway extends Deed
{
    public const NAME = 'file.taken_away';

    public function __construct(string $by, string $of, public string $name, public string $sha256)
    {
        parent::__construct($by, $of);
    }
}
