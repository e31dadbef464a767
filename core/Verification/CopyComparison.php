<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Verification;

use Orthotaxis\Core\Refusal;

/** Two copies of what holds, row by row. */
final class CopyComparison
{
    /**
     * Linear in the rows of both; what is the same costs no more than to see that it is.
     *
     * @param  string  $ours  rows as text, one a line, sorted by their bytes
     * @param  string  $theirs  the same of planning
     * @return list<CopyDifference> in the order of the rows
     *
     * @throws Refusal when planning's rows are out of order or say something twice
     */
    public static function of(string $ours, string $theirs): array
    {
        if ($ours === $theirs) {
            return [];
        }
        $here = $ours === '' ? [] : explode("\n", $ours);
        $there = $theirs === '' ? [] : explode("\n", $theirs);
        self::mustBeInOrder($there);
        $differences = [];
        for ($i = $j = 0; $i < count($here) || $j < count($there); ) {
            [$one, $other] = [$here[$i] ?? null, $there[$j] ?? null];
            $order = match (true) {
                $one === $other => null,
                $one === null => 1,
                $other === null => -1,
                default => CopyRow::keyOf($one) <=> CopyRow::keyOf($other),
            };
            if ($order === null) {
                $i++;
                $j++;

                continue;
            }
            $difference = CopyDifference::between(
                $order <= 0 && $one !== null ? CopyRow::read($one) : null,
                $order >= 0 && $other !== null ? CopyRow::read($other) : null,
            );
            $i += $order <= 0 ? 1 : 0;
            $j += $order >= 0 ? 1 : 0;
            if ($difference !== null) {
                $differences[] = $difference;
            }
        }

        return self::paired($differences);
    }

    /** @param  list<string>  $rows */
    private static function mustBeInOrder(array $rows): void
    {
        $last = '';
        foreach ($rows as $row) {
            $key = CopyRow::keyOf($row);
            if (strcmp($last, $key) >= 0) {
                throw Refusal::at('row', 'The rows of the copy are out of order, or one is there twice.');
            }
            $last = $key;
        }
    }

    /**
     * A line gone and a line come at one find number of one revision: one in place of the other.
     *
     * @param  list<CopyDifference>  $differences
     * @return list<CopyDifference>
     */
    private static function paired(array $differences): array
    {
        $extra = [];
        foreach ($differences as $at => $one) {
            if ($one->ours === null && $one->theirs?->part === 'line') {
                $extra[$one->theirs->standsAt()][] = $at;
            }
        }
        foreach ($extra === [] ? [] : $differences as $at => $one) {
            if ($one->theirs !== null || $one->ours?->part !== 'line' || ($extra[$one->ours->standsAt()] ?? []) === []) {
                continue;
            }
            $with = array_shift($extra[$one->ours->standsAt()]);
            $differences[$at] = new CopyDifference($one->ours, $differences[$with]->theirs);
            unset($differences[$with]);
        }

        return array_values($differences);
    }
}
