<?php

declare(strict_types=1);

namespace App\CutIn;

use Illuminate\Support\Facades\Cache;

/** What is kept for the next lever, as long as planning's answers are. */
final readonly class KeptForAWhile
{
    public static function get(string $key): ?object
    {
        $kept = config()->integer('orthotaxis.planning.keep_seconds') === 0 ? null : Cache::get($key);
        $value = is_string($kept) ? unserialize((string) gzuncompress((string) base64_decode($kept, true))) : null;

        return is_object($value) ? $value : null;
    }

    /** As text: caches that are tables of a database hold no bytes. */
    public static function put(string $key, object $value): void
    {
        $seconds = config()->integer('orthotaxis.planning.keep_seconds');
        if ($seconds > 0) {
            Cache::put($key, base64_encode((string) gzcompress(serialize($value), 1)), $seconds);
        }
    }
}
