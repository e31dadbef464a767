<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Replacement;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Edit\Draft;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\FreeFinds;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** One line that has the old component: as it is, and as it will be. */
final readonly class Occurrence
{
    /**
     * @param  list<LineEdit>  $edits  none where it cannot be so
     * @param  list<Line>  $after  the lines that are there then in its place; none: it goes
     * @param  list<Line>  $beside  other lines of the same structure that have what comes on some of the same days
     * @param  ?Refusal  $fault  why it cannot be so
     */
    private function __construct(
        public Line $before,
        public array $edits = [],
        public array $after = [],
        public array $beside = [],
        public ?Refusal $fault = null,
    ) {}

    /**
     * All that a structure has, each judged for itself.
     *
     * @param  Day  $effective  the first day of the revision that gets the edits
     * @return list<self> in the order of find numbers
     */
    public static function in(Structure $structure, Replacement $replacement, Day $effective, Heirs $heirs): array
    {
        $finds = FreeFinds::in($structure);
        $found = [];
        foreach ($structure as $line) {
            if ($replacement->concerns($line, $effective)) {
                $found[] = self::of($structure, $line, $replacement, $finds, $heirs);
            }
        }

        return $found;
    }

    private static function of(Structure $structure, Line $line, Replacement $replacement, FreeFinds $finds, Heirs $heirs): self
    {
        try {
            $edits = $replacement->at($line, $finds, $heirs);
            $draft = new Draft(new Structure([$line]));
            foreach ($edits as $edit) {
                $draft->make($edit);
            }
        } catch (Refusal $refusal) {
            return new self($line, fault: $refusal);
        }
        $after = array_values(
            array_filter(
                array_map(static fn(LineEdit $edit): ?Line => $draft->line($edit->part()), $edits),
                static fn(?Line $one): bool => $one !== null,
            ),
        );
        $beside = [];
        foreach ($structure as $other) {
            foreach ($after as $new) {
                if (
                    $other->key !== $line->key &&
                    $other->component === $new->component &&
                    $new->component !== $replacement->old &&
                    $other->validity->overlaps($new->validity)
                ) {
                    $beside[$other->key] = $other;
                }
            }
        }

        return new self($line, edits: $edits, after: $after, beside: array_values($beside));
    }
}
