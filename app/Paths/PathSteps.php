<?php

declare(strict_types=1);

namespace App\Paths;

use Orthotaxis\Core\Approval\Condition;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Approval\Meaning;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\PathStep;
use Orthotaxis\Core\Approval\PathTask;
use Orthotaxis\Core\Refusal;

/**
 * The steps of a path as they are kept and sent: name, stage, who, needed, meaning, with_password, due_days, conditions, back_to,
 * remind_days, escalate_days, escalate_to, checks; and its tasks: stage, kind, title, to, holds, due_days, checks, edits.
 */
final readonly class PathSteps
{
    /**
     * @param  list<array<string, mixed>>  $steps  as AsksPathSteps checks them
     * @param  list<array<string, mixed>>  $tasks
     *
     * @throws Refusal at the step or task that cannot be so
     */
    public static function read(array $steps, array $tasks = [], bool $sendsItself = false): Path
    {
        $read = [];
        foreach ($steps as $at => $step) {
            /** @var array{name: string, stage: int, who: non-empty-list<string>, needed: int, meaning: string, with_password: bool,
             *     due_days?: ?int, conditions?: list<array{fact: string, values: list<string>}>, back_to: list<int>,
             *     remind_days?: ?int, escalate_days?: ?int, escalate_to?: list<string>, checks?: list<string>} $step */
            try {
                $read[] = new PathStep(
                    name: $step['name'],
                    stage: $step['stage'],
                    who: $step['who'],
                    needed: $step['needed'],
                    meaning: Meaning::from($step['meaning']),
                    withPassword: $step['with_password'],
                    dueDays: $step['due_days'] ?? null,
                    conditions: self::conditions($step['conditions'] ?? [], 'conditions'),
                    backTo: $step['back_to'],
                    remindDays: $step['remind_days'] ?? null,
                    escalateDays: $step['escalate_days'] ?? null,
                    escalateTo: $step['escalate_to'] ?? [],
                    checks: $step['checks'] ?? [],
                );
            } catch (Refusal $refusal) {
                throw Refusal::because(self::placed($refusal->reasons, "steps.{$at}."));
            }
        }

        $signed = $read === [] ? throw Refusal::at('steps', 'A path has at least one step.') : $read;

        return new Path($signed, self::tasks($tasks), $sendsItself);
    }

    /**
     * @param  list<array{fact: string, values: list<string>}>  $conditions
     * @param  string  $place  where a reason is told
     * @return list<Condition>
     */
    public static function conditions(array $conditions, string $place = 'chosen_when'): array
    {
        $read = [];
        foreach ($conditions as $at => $one) {
            $read[] = Condition::read(Fact::from($one['fact']), array_values($one['values']), "{$place}.{$at}.values");
        }

        return $read;
    }

    /**
     * @param  list<array<string, mixed>>  $tasks
     * @return list<PathTask>
     */
    private static function tasks(array $tasks): array
    {
        $read = [];
        foreach ($tasks as $at => $task) {
            /** @var array{stage: ?int, kind: string, title: string, to: string, holds: bool, due_days?: ?int, checks?: list<string>,
             *     edits?: list<string>} $task */
            try {
                $read[] = new PathTask(
                    stage: $task['stage'],
                    kind: $task['kind'],
                    title: $task['title'],
                    to: $task['to'],
                    holds: $task['holds'],
                    dueDays: $task['due_days'] ?? null,
                    checks: $task['checks'] ?? [],
                    edits: $task['edits'] ?? [],
                );
            } catch (Refusal $refusal) {
                throw Refusal::because(self::placed($refusal->reasons, "tasks.{$at}."));
            }
        }

        return $read;
    }

    /**
     * @param  non-empty-array<string, string>  $reasons
     * @return non-empty-array<string, string>
     */
    private static function placed(array $reasons, string $before): array
    {
        $placed = [];
        foreach ($reasons as $place => $reason) {
            $placed[$before . $place] = $reason;
        }

        return $placed;
    }
}
