<?php

declare(strict_types=1);

namespace App\Forms\Events;

use App\Ledger\Deed;

/** A form is issued. */
final readonly class FormHandedOut extends Deed
{
    public const NAME = 'form.handed_out';

    public function __construct(string $by, string $of, public string $form, public string $template)
    {
        parent::__construct($by, $of);
    }
}
