<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Release;

use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Changes;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\PartAction;
use Orthotaxis\Core\Structure\LineField;

/** One part of a subject as a change notice tells it: a line, an operation, a figure, with what was and what is. */
final readonly class ChangedPart
{
    /**
     * @param  string  $called  as people call it, by what it is now, or was when it has gone: "line 40 200-0131"
     * @param  list<array{string, string, string}>  $fields  those that differ: name, before, after; empty where it says nothing
     */
    private function __construct(public PartAction $action, public string $called, public array $fields) {}

    /**
     * Every part that a work changes, in the order in which its comparison has them.
     *
     * Example: the pump tube is replaced at find number 40 and a clamp is added at 45: two parts, "line 40 200-0131" with the component
     * before and after, and "line 45 200-0140" with all that it says.
     *
     * @return list<self>
     */
    public static function of(Work $work): array
    {
        return self::between($work->before, $work->after, $work->changes());
    }

    /**
     * The same between any two contents of one subject.
     *
     * @param  ?Changes  $changes  where they are known already
     * @return list<self>
     */
    public static function between(Content $older, Content $newer, ?Changes $changes = null): array
    {
        $parts = [];
        foreach (($changes ?? $newer->since($older))->parts() as [$was, $is]) {
            $before = $was === null ? [] : $older->says($was);
            $after = $is === null ? [] : $newer->says($is);
            $fields = [];
            foreach ($before + $after as $field => $_) {
                [$old, $new] = [$before[$field] ?? '', $after[$field] ?? ''];
                if ($old !== $new) {
                    $fields[] = [(string) $field, $old, $new];
                }
            }
            $parts[] = new self(
                match (true) {
                    $was === null => PartAction::Add,
                    $is === null => PartAction::Remove,
                    ($before[LineField::Component->value] ?? '') !== ($after[LineField::Component->value] ?? '') => PartAction::Replace,
                    default => PartAction::Change,
                },
                $is === null ? $older->called((string) $was) : $newer->called($is),
                $fields,
            );
        }

        return $parts;
    }
}
