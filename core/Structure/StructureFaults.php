<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

/** What is wrong with the lines of one parent when they are read together. */
final readonly class StructureFaults
{
    /** @return list<string> */
    public static function of(Structure $structure): array
    {
        $faults = [];
        $finds = $designators = [];
        foreach ($structure as $line) {
            foreach ($finds[$line->find] ?? [] as $other) {
                if ($other->validity->overlaps($line->validity)) {
                    $faults["find {$line->find}"] = "find number {$line->find} stands on {$other->component} and {$line->component}.";
                }
            }
            $finds[$line->find][] = $line;
            foreach ($line->designators === '' ? [] : explode(', ', $line->designators) as $name) {
                $other = $designators[$name] ?? null;
                if ($other !== null && $other->validity->overlaps($line->validity)) {
                    $faults["designator {$name}"] = "designator {$name} stands on {$other->component} and {$line->component}.";
                }
                $designators[$name] = $line;
            }
        }

        return array_values($faults);
    }
}
