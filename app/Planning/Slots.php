<?php

declare(strict_types=1);

namespace App\Planning;

use Illuminate\Support\Facades\Cache;

/**
 * So many people at most wait for planning at the same time; whoever comes while they do goes on at once with what was last
 * known. However slow planning is, it never holds up those who do not ask it.
 */
final readonly class Slots
{
    private const SECONDS = 30;

    /**
     * @template Result
     *
     * @param  \Closure(): Result  $ask
     * @return Result
     *
     * @throws PlanningSilent when all are taken
     */
    public static function in(\Closure $ask): mixed
    {
        for ($slot = config()->integer('orthotaxis.planning.at_once'); $slot > 0; $slot--) {
            $lock = Cache::lock("planning slot {$slot}", self::SECONDS);
            if ($lock->get()) {
                try {
                    return $ask();
                } finally {
                    $lock->release();
                }
            }
        }
        throw new PlanningSilent('Planning is slow at the moment.');
    }
}
