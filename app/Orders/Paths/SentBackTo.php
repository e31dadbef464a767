<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Models\ChangeOrder;
use App\Orders\OrderPolicy;
use App\People\Models\Person;
use Orthotaxis\Core\Approval\PathStep;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Change\OrderState;

/**
 * To which stages of its path a person can send an order back now: those that the steps name which await them, a coordinator to any
 * before.
 */
final readonly class SentBackTo
{
    /** @return list<int> to the editor not told */
    public static function stages(Person $by, ChangeOrder $order, Progress $progress): array
    {
        $now = $progress->stage;
        if ($order->state !== OrderState::InReview || $now === null || $now === 1) {
            return [];
        }
        if (OrderPolicy::coordinates($by, $order)) {
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
