<?php

declare(strict_types=1);

namespace App\Discussion\Events;

use App\Ledger\Deed;

/** Somebody says something on a report, request, order or item. */
final readonly class CommentAdded extends Deed
{
    public const NAME = 'comment.added';

    public function __construct(string $by, string $of, public string $text)
    {
        parent::__construct($by, $of);
    }
}
