<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** Edits go on from a newer revision. */
final readonly class NewerBroughtIn extends Deed
{
    public const NAME = 'structure.newer_brought_in';

    /** @param  array<string, string>  $choices  whose way it went, by conflict */
    public function __construct(
        string $by,
        string $of,
        public string $item,
        public string $subject,
        public ?string $revision,
        public array $choices,
    ) {
        parent::__construct($by, $of);
    }

    public function details(): array
    {
        return ['item' => $this->item, 'revision' => $this->revision] +
            ($this->subject === $this->item ? [] : ['subject' => $this->subject]) +
            ($this->choices === [] ? [] : ['choices' => $this->choices]);
    }
}
