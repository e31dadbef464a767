<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem;

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
        foreach ($order->revised() as $item) {
            if ($item->baseRevision !== $item->latestRevision) {
                $reasons[] =
                    $item->baseRevision === null
                        ? "{$item->number} was released as revision {$item->latestRevision} meanwhile: bring that revision in."
                        : "{$item->number} is at revision {$item->latestRevision} by now, the edits start from {$item->baseRevision}: bring the newer revision in.";
            }
        }

        return implode(' ', [
            ...$reasons,
            ...array_merge(...array_map(static fn(OrderItem $item): array => $item->brokenEdits, $order->revised())),
        ]);
    }
}
