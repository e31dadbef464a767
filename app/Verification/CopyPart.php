<?php

declare(strict_types=1);

namespace App\Verification;

/** A part of what holds here, and which part of planning's copy it is compared with. */
final readonly class CopyPart
{
    /**
     * @param  string  $text  rows, one a line, in the order of their bytes
     * @param  int  $rows  how many they are
     * @param  string  $from  the key with which it begins
     * @param  ?string  $before  the key before which it ends; null: with the last
     */
    public function __construct(public string $text, public int $rows, public string $from, public ?string $before) {}
}
