<?php

declare(strict_types=1);

namespace App\Numbers;

use Illuminate\Support\Facades\DB;

/** Gives out numbers of changes. Two at once never get the same one: the range is held until the act is saved. */
final readonly class NumberRange
{
    public function next(string $range): string
    {
        $row = DB::selectOne('UPDATE number_ranges SET next = next + 1 WHERE name = ? RETURNING prefix, width, next - 1 AS number', [
            $range,
        ]);
        if ($row === null) {
            throw new \LogicException("There is no number range {$range}.");
        }

        return $row->prefix . str_pad((string) $row->number, $row->width, '0', STR_PAD_LEFT);
    }
}
