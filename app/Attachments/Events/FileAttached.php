<?php

declare(strict_types=1);

namespace App\Attachments\Events;

use App\Ledger\Deed;

/** A file is brought to a report or request. */
final readonly class FileAttached extends Deed
{
    public const NAME = 'file.attached';

    public function __construct(string $by, string $of, public string $role, public string $name, public string $sha256)
    {
        parent::__construct($by, $of);
    }
}
