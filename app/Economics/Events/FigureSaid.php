<?php

declare(strict_types=1);

namespace App\Economics\Events;

use App\Ledger\Deed;

/** Somebody says a figure. */
final readonly class FigureSaid extends Deed
{
    public const NAME = 'figure.said';

    public function __construct(
        string $by,
        string $of,
        public string $kind,
        public string $subject,
        public ?string $choice,
        public ?int $amount,
        public string $reason,
    ) {
        parent::__construct($by, $of);
    }
}
