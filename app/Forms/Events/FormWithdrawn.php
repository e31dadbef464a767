<?php

declare(strict_types=1);

namespace App\Forms\Events;

use App\Ledger\Deed;

/** A form is not taken in any more. */
final readonly class FormWithdrawn extends Deed
{
    public const NAME = 'form.withdrawn';

    public function __construct(string $by, string $of, public string $form)
    {
        parent::__construct($by, $of);
    }
}
