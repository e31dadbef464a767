<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

use Orthotaxis\Core\Refusal;

/** The steps in which a change is judged, and what is to be done on the way. */
final readonly class Path
{
    /** The role of the person whom an order names to sign it. */
    public const SIGNER = 'role:signer';

    /**
     * @param  non-empty-list<PathStep>  $steps
     * @param  list<PathTask>  $tasks
     * @param  bool  $sendsItself  whether a change goes to review by itself when the last task before is done
     *
     * @throws Refusal when two steps have one name, a stage between others has nothing in it, or nobody signs at the end
     */
    public function __construct(public array $steps, public array $tasks = [], public bool $sendsItself = false)
    {
        $names = $stages = [];
        foreach ($steps as $at => $step) {
            if (isset($names[$step->name])) {
                throw Refusal::at("steps.{$at}.name", 'Another step has this name.');
            }
            $names[$step->name] = true;
            $stages[$step->stage] = true;
        }
        $last = max(array_keys($stages));
        $ofTasks = $stages;
        foreach ($tasks as $at => $task) {
            if ($task->stage > $last) {
                throw Refusal::at("tasks.{$at}.stage", "The path ends with stage {$last}: somebody signs last.");
            }
            if ($task->holdsStage()) {
                $ofTasks[$task->stage] = true;
            }
        }
        for ($stage = 1; $stage <= $last; $stage++) {
            isset($ofTasks[$stage]) || throw Refusal::at('steps', "No step is in stage {$stage}.");
        }
    }

    /**
     * @param  ?int  $stage  as a task has it
     * @return array<int, PathTask> by their place
     */
    public function tasksAt(?int $stage): array
    {
        return array_filter($this->tasks, static fn(PathTask $task): bool => $task->stage === $stage);
    }

    /** One person signs: the path of every order until another is chosen for it. */
    public static function oneSigner(): self
    {
        return new self([new PathStep('Sign', 1, [self::SIGNER], 1)]);
    }
}
