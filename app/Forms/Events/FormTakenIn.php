<?php

declare(strict_types=1);

namespace App\Forms\Events;

use App\Ledger\Deed;

/** What a form says is taken over. */
final readonly class FormTakenIn extends Deed
{
    public const NAME = 'form.taken_in';

    /** @param  array<array-key, mixed>  $taken */
    public function __construct(string $by, string $of, public string $form, public string $sha256, public array $taken)
    {
        parent::__construct($by, $of);
    }
}
