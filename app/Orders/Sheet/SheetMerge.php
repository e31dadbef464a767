<?php

declare(strict_types=1);

namespace App\Orders\Sheet;

use App\Orders\Models\WorkRecord;
use App\Orders\Subjects\NamedWork;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Content\Choice;
use Orthotaxis\Core\Content\Conflict;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Merge;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Structure\HasLines;
use Orthotaxis\Core\Structure\Structure;

/** What a sheet does to the lines of an order as they are now, beside what others did since it was taken away. */
final readonly class SheetMerge
{
    /**
     * @param  array<string, non-empty-list<LineEdit>>  $edits  to be made now, by subject; without what is still to be chosen
     * @param  array<string, Comparison>  $wanted  what the sheet changes, by subject
     * @param  array<string, list<Conflict>>  $conflicts  about which nobody has chosen yet, by subject
     * @param  int  $agreed  edits that others have made as well
     */
    private function __construct(public array $edits, public array $wanted, public array $conflicts, public int $agreed) {}

    /**
     * @param  array<string, NamedWork>  $subjects  by key
     * @param  array<string, WorkRecord>  $works  by subject
     * @param  array<int, Content>  $now  by work
     * @param  array<string, Choice>  $choices
     */
    public static function of(ReadSheet $read, array $subjects, array $works, array $now, array $choices): self
    {
        $all = $wanted = $open = [];
        $agreed = 0;
        foreach ($read->was as $key => $was) {
            $comparison = Comparison::of($was, $read->wanted[$key] ?? new Structure());
            $mine = Edits::between($comparison);
            if ($mine === []) {
                continue;
            }
            $wanted[$key] = $comparison;
            $content = $now[$works[$subjects[$key]->subject()]->id];
            // Lines alone are merged, whatever else a plant says of how it builds.
            $lines = $content instanceof HasLines ? $content->lines() : new Structure();
            $merge = Merge::of(new EngineeringContent($was), new EngineeringContent($lines), $mine);
            $own = [];
            foreach ($merge->conflicts as $conflict) {
                $name = self::name($key, $conflict);
                $own[$conflict->key()] = $choices[$name] ?? Choice::Theirs;
                if (!isset($choices[$name])) {
                    $open[$key][] = $conflict;
                }
            }
            $edits = [];
            foreach ($merge->resolved($own) as $edit) {
                if ($edit instanceof LineEdit) {
                    $edits[] = $edit;
                }
            }
            $agreed += max(0, count($mine) - count($edits) - count($merge->conflicts));
            if ($edits !== []) {
                $all[$key] = $edits;
            }
        }

        return new self($all, wanted: $wanted, conflicts: $open, agreed: $agreed);
    }

    /** By which a conflict is chosen about. */
    public static function name(string $subject, Conflict $conflict): string
    {
        return "{$subject} {$conflict->key()}";
    }
}
