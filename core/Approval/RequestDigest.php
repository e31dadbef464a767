<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

/**
 * What a signature on a request stands for: the same request always gives the same digest, any other another. It covers what is asked
 * for, what was found and answered, and what is proposed; not what planning's stock is worth on the day, which changes by itself.
 *
 * Written as "1:" and 64 hexadecimal digits: by which version it was reckoned.
 */
final readonly class RequestDigest
{
    private const VERSION = 1;

    /**
     * @param  array<string, string>  $said  texts by name: title, finding and so on
     * @param  array<string, list<string>>  $named  sets by name, in any order: items, reports, files, answers
     */
    public static function of(array $said, array $named): string
    {
        $sets = [];
        foreach ($named as $name => $values) {
            $values = array_unique($values);
            sort($values, SORT_STRING);
            $sets[$name] = $values;
        }
        ksort($said, SORT_STRING);
        ksort($sets, SORT_STRING);

        return self::VERSION . ':' . hash('sha256', json_encode([$said, $sets], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
    }
}
