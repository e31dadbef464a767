<?php

declare(strict_types=1);

namespace App\Files;

/** How a confined process ended. */
enum ConfinedEnd
{
    case Whole;
    case Memory;
    case Time;
    case Stopped;
    case Broken;

    public function whole(): bool
    {
        return $this === self::Whole;
    }

    /** For the person whose file it was. */
    public function sentence(): string
    {
        return match ($this) {
            self::Whole => 'The file was read.',
            self::Memory => 'Reading this file takes more memory than a file is given. Split it, or save it simpler.',
            self::Time => 'Reading this file takes longer than a file is given. Split it, or save it simpler.',
            self::Stopped => 'Reading this file was stopped.',
            self::Broken => 'Reading this file broke off. Nothing of it was saved. Save the file anew and try again.',
        };
    }
}
