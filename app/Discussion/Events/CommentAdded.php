<?php

declare(strict_types=1);

namespace App\Discussion\Events;

use App\Ledger\Deed;

/** Somebody says something on a report, request, order or item. */
final readonly class CommentAdded extends Deed
{
    public const NAME = 'comment.added';

    /**
     * @param  list<array{name: string, sha256: string}>  $files
     * @param  string  $line  that it is said of; empty: of the whole
     */
    public function __construct(string $by, string $of, public string $text, public array $files = [], public string $line = '')
    {
        parent::__construct($by, $of);
    }
}
