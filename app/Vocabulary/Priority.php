<?php

declare(strict_types=1);

namespace App\Vocabulary;

enum Priority: string
{
    case Critical = 'critical';
    case High = 'high';
    case Normal = 'normal';
    case Low = 'low';

    public function rank(): int
    {
        return match ($this) {
            self::Critical => 0,
            self::High => 1,
            self::Normal => 2,
            self::Low => 3,
        };
    }
}
