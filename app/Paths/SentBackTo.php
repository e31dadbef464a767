<?php

declare(strict_types=1);

namespace App\Paths;

use App\People\Models\Person;
use Orthotaxis\Core\Approval\PathStep;
use Orthotaxis\Core\Approval\Progress;

/**
 * To which stages of its path a person can send a change back now: those that the steps name which await them; who coordinates it, to
 * any before.
 */
final readonly class SentBackTo
{
    /** @return list<int> to the stage before the first, to who edits or raised it, not told */
    public static function stages(Person $by, Judged $change, Progress $progress, bool $toAny): array
    {
        $now = $progress->stage;
        if (!$change->isUnderWay() || $now === null || $now === 1) {
            return [];
        }
        if ($toAny) {
            return range(1, $now - 1);
        }
        $stages = [];
        foreach (array_keys($progress->signable($by->id)) as $at) {
            array_push($stages, ...$progress->steps[$at]->step->backTo);
        }
        $stages = array_values(array_unique(array_filter($stages, static fn(int $stage): bool => $stage > PathStep::EDITOR)));
        sort($stages);

        return $stages;
    }
}
