<?php

declare(strict_types=1);

namespace App\Planning;

use Illuminate\Support\Facades\Cache;

/**
 * Keeps a planning system that does not answer from keeping everybody waiting: after two questions in vain it is asked once in
 * a while only, by whoever comes next; all others go on at once with what was last known.
 */
final readonly class Breaker
{
    private const IN_VAIN = 2;

    /** Seconds within which questions in vain count together. */
    private const WINDOW = 120;

    private const COUNT = 'planning asked in vain';

    private const PROBE = 'planning is probed';

    /** Whether somebody should wait for planning now. */
    public static function allows(): bool
    {
        $rest = config()->integer('orthotaxis.planning.rest_seconds');

        return $rest <= 0 || (int) Cache::get(self::COUNT, 0) < self::IN_VAIN || Cache::add(self::PROBE, 1, $rest);
    }

    public static function inVain(): void
    {
        Cache::add(self::COUNT, 0, self::WINDOW);
        Cache::increment(self::COUNT);
    }

    public static function answered(): void
    {
        if ((int) Cache::get(self::COUNT, 0) > 0) {
            Cache::forget(self::COUNT);
            Cache::forget(self::PROBE);
        }
    }
}
