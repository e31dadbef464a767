<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Support\Facades\Cache;

/**
 * So many at most do something slow at the same time; whoever comes while they do is told at once. However slow it is, it never
 * holds up those who do something else.
 */
final readonly class Slots
{
    /**
     * @template Result
     *
     * @param  string  $what  is slow
     * @param  int  $seconds  after which a place is free again, should whoever had it have fallen over
     * @param  \Closure(): Result  $do
     * @param  \Closure(): \Throwable  $full  what is told when all places are taken
     * @return Result
     */
    public static function in(string $what, int $places, int $seconds, \Closure $do, \Closure $full): mixed
    {
        for ($place = $places; $place > 0; $place--) {
            $lock = Cache::lock("{$what} {$place}", $seconds);
            if ($lock->get()) {
                try {
                    return $do();
                } finally {
                    $lock->release();
                }
            }
        }
        throw $full();
    }
}
