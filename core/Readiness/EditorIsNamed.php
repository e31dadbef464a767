<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

final readonly class EditorIsNamed implements Condition
{
    public function name(): string
    {
        return 'An editor is named';
    }

    public function place(): string
    {
        return 'editor';
    }

    public function fault(Order $order, Day $today): string
    {
        return $order->editor === null ? 'Name the person who edits.' : '';
    }
}
