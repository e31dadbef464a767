<?php

declare(strict_types=1);

namespace App\Forms\Events;

use App\Ledger\Deed;

/** What a template maps to is set. */
final readonly class TemplateSet extends Deed
{
    public const NAME = 'form_template.set';

    /** @param  array<array-key, mixed>  $mapping */
    public function __construct(string $by, string $of, public array $mapping, public string $sha256, public bool $offered)
    {
        parent::__construct($by, $of);
    }
}
