<?php

declare(strict_types=1);

namespace App\Forms\Events;

use App\Ledger\Deed;

/** What a form said is put back. */
final readonly class FormTakenBack extends Deed
{
    public const NAME = 'form.taken_back';

    public function __construct(string $by, string $of, public string $form)
    {
        parent::__construct($by, $of);
    }
}
