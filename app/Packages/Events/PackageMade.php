<?php

declare(strict_types=1);

namespace App\Packages\Events;

use App\Ledger\Deed;

/** All that an order released was put into one file. */
final readonly class PackageMade extends Deed
{
    public const NAME = 'order.package_made';

    public function __construct(string $by, string $of, public string $language, public string $sha256)
    {
        parent::__construct($by, $of);
    }
}
