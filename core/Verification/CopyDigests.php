<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Verification;

use Orthotaxis\Core\Refusal;

/**
 * Digests of two copies of what holds, so that only what differs is read row by row. A copy has one for each revision of a subject: SHA-256
 * of its rows in the order of their bytes, each with a newline after it. Written as text it has its key, four columns with a tab after
 * each, and then the digest in hexadecimal.
 */
final class CopyDigests
{
    private const FORM = '~^(?:engineering|manufacturing|item_data)\t[^\t]*\t([^\t]+)\t[^\t]+\t[0-9a-f]{64}$~D';

    /**
     * Whatever differs in a row differs here. What is the same and written otherwise may differ too, which the rows tell then.
     *
     * @param  string  $ours  one a line, in any order
     * @param  string  $theirs  the same of planning
     * @return list<string> items of which a revision differs or is on one side alone, each once
     *
     * @throws Refusal when planning's cannot be read
     */
    public static function differing(string $ours, string $theirs): array
    {
        if ($ours === $theirs) {
            return [];
        }
        [$here, $there] = array_map(static fn(string $text): array => $text === '' ? [] : array_flip(explode("\n", $text)), [
            $ours,
            $theirs,
        ]);
        $items = [];
        foreach (array_keys(array_diff_key($here, $there) + array_diff_key($there, $here)) as $line) {
            if (preg_match(self::FORM, (string) $line, $read) !== 1) {
                throw Refusal::at('digest', 'A digest of the copy cannot be read.');
            }
            $items[$read[1]] = true;
        }

        return array_map(strval(...), array_keys($items));
    }
}
