<?php

declare(strict_types=1);

namespace App\Attachments;

/** What files can be attached to. */
interface Attachable
{
    /** The record, held for this transaction. */
    public static function hold(string $number): self;

    public function number(): string;

    /** The column of its files that names it. */
    public function fileKey(): string;

    public function id(): int;

    /** Whether files may still be taken away from it. */
    public function isOpen(): bool;
}
