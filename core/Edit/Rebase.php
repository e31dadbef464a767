<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/** Brings edits onto a base that has moved on: what does not touch the same fields re-applies by itself. */
final readonly class Rebase
{
    /**
     * @param  list<Edit>  $edits
     *
     * @throws Refusal naming each line where both sides changed the same
     */
    public static function check(Structure $base, Structure $newer, array $edits): void
    {
        $theirs = Comparison::of($base, $newer)->asEdits();
        $reasons = [];
        foreach ($edits as $mine) {
            foreach ($theirs as $their) {
                if ($mine->conflictsWith($their)) {
                    $line = $base->line($mine->line);
                    $what = array_keys(array_intersect_key($mine->fields, $their->fields));
                    $reasons[$mine->line] = sprintf(
                        'Line %d %s: %s was changed in both. Undo your edit of it first.',
                        $line->find ?? 0, $line->component ?? '', $what === [] ? 'the line' : implode(' and ', $what),
                    );
                }
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
        Apply::all($newer, $edits);
    }
}
