<?php

declare(strict_types=1);

namespace App\Forms\Events;

use App\Ledger\Deed;

/** A template of forms is set up. */
final readonly class TemplateAdded extends Deed
{
    public const NAME = 'form_template.added';

    public function __construct(string $by, string $of, public string $file, public string $sha256)
    {
        parent::__construct($by, $of);
    }
}
