<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\Work;

final readonly class EditsStartFromNewest implements Condition
{
    public function name(): string
    {
        return 'Edits start from the newest revision';
    }

    public function place(): string
    {
        return 'items';
    }

    public function fault(Order $order, Day $today): string
    {
        $reasons = [];
        foreach ($order->works() as $work) {
            $base = $work->base;
            if ($base->hasMovedOn()) {
                $reasons[] =
                    $base->revision === null
                        ? "{$work->subject} was released as revision {$base->newest} meanwhile: bring that revision in."
                        : "{$work->subject} is at revision {$base->newest} by now, the edits start from {$base->revision}: bring the newer revision in.";
            }
        }

        return implode(' ', [...$reasons, ...array_merge(...array_map(static fn(Work $work): array => $work->broken, $order->works()))]);
    }
}
