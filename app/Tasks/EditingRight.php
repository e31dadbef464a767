<?php

declare(strict_types=1);

namespace App\Tasks;

use App\People\Ability;
use App\People\Models\Person;
use App\Tasks\Models\ChangeTask;
use Orthotaxis\Core\Refusal;

/** Whoever is to do a task by editing must be somebody whose role lets them edit; of a group, at least one. */
final readonly class EditingRight
{
    /**
     * @param  list<int>  $people  ids, of whom one is enough
     * @param  string  $place  where a reason is told
     *
     * @throws Refusal when none of them may
     */
    public static function check(ChangeTask $task, array $people, string $place): void
    {
        if (!$task->subjects()->exists()) {
            return;
        }
        if (!self::isOf($people, $task->change)) {
            $alone = count($people) === 1 ? Person::query()->find($people[0]) : null;
            throw Refusal::at(
                $place,
                $alone === null ? 'Nobody in this group may edit structures.' : "{$alone->name} may not edit structures.",
            );
        }
    }

    /**
     * @param  list<int>  $people  ids
     * @param  string  $change  number of the order
     */
    public static function isOf(array $people, string $change): bool
    {
        return Person::query()->findMany($people)->contains(static fn(Person $one): bool => $one->mayDo(Ability::ReviseStructure, $change));
    }
}
