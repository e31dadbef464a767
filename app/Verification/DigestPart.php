<?php

declare(strict_types=1);

namespace App\Verification;

/** A part of the digests of what holds here, and which part of planning's they are compared with. */
final readonly class DigestPart
{
    /**
     * @param  string  $text  one a line, as CopyDigests reads them
     * @param  int  $rows  how many rows they stand for
     * @param  string  $from  the key with which it begins
     * @param  ?string  $before  the key before which it ends; null: with the last
     */
    public function __construct(public string $text, public int $rows, public string $from, public ?string $before) {}
}
