<?php

declare(strict_types=1);

namespace App\Forms\Events;

use App\Ledger\Deed;

/** A template has another file. */
final readonly class TemplateFileReplaced extends Deed
{
    public const NAME = 'form_template.file_replaced';

    /** @param  array<array-key, mixed>  $mapping */
    public function __construct(string $by, string $of, public array $mapping, public string $sha256, public bool $offered)
    {
        parent::__construct($by, $of);
    }
}
