<?php

declare(strict_types=1);

namespace App\Assessment\Events;

use App\Ledger\Deed;

/** Somebody is asked about items. */
final readonly class QuestionAsked extends Deed
{
    public const NAME = 'question.asked';

    /** @param  list<string>  $items */
    public function __construct(string $by, string $of, public array $items, public string $to, public string $text, public string $due)
    {
        parent::__construct($by, $of);
    }
}
