<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Belonging;

/** Whether anything of an item is released. */
enum Standing
{
    case Released;
    case Never;
    case Retired;

    /** Why it cannot be relied on; empty where it can. */
    public function fault(): string
    {
        return match ($this) {
            self::Released => '',
            self::Never => 'is not released.',
            self::Retired => 'is retired.',
        };
    }
}
