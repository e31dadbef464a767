<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/**
 * Brings edits onto a base that has moved on: what does not touch the same fields re-applies by itself. A line that was
 * taken out and came back under another identity is the same line.
 */
final readonly class Rebase
{
    /**
     * @param  list<LineEdit>  $edits
     * @return list<LineEdit> the same edits, of the lines as the newer base names them
     *
     * @throws Refusal naming each line where both sides changed the same
     */
    public static function onto(Structure $base, Structure $newer, array $edits): array
    {
        $comparison = Comparison::of($base, $newer);
        $theirs = [];
        foreach (Edits::between($comparison) as $their) {
            $theirs[$their->part()][] = $their;
        }
        $reasons = [];
        foreach ($edits as $mine) {
            foreach ($theirs[$mine->part()] ?? [] as $their) {
                if ($mine->conflictsWith($their) !== []) {
                    $line = $base->line($mine->part());
                    $what = array_keys(array_intersect_key($mine->fields(), $their->fields()));
                    $reasons[$mine->part()] = sprintf(
                        'Line %d %s: %s was changed in both. Undo your edit of it first.',
                        $line->find ?? 0,
                        $line->component ?? '',
                        $what === [] ? 'the line' : implode(' and ', $what),
                    );
                }
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
        $now = [];
        foreach ($comparison->differences as $difference) {
            if ($difference->before !== null && $difference->after !== null) {
                $now[$difference->before->key] = $difference->after->key;
            }
        }
        $moved = array_map(static fn(LineEdit $edit): LineEdit => $edit->of($now[$edit->part()] ?? $edit->part()), $edits);
        Apply::all($newer, $moved);

        return $moved;
    }
}
