<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Models\ChangeOrder;
use App\Orders\OrderPolicy;
use App\Paths\Data\PathPicture;
use App\Paths\PathProgress;
use App\Paths\SentBackTo;
use App\People\Models\Person;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Change\Order;

/** The path of an order, as somebody sees it. */
final readonly class PathOfOrder
{
    public static function picture(ChangeOrder $order, Order $core, ?Person $reader): PathPicture
    {
        $change = new OrderOnPath($order, $core->proposers());
        $progress = PathProgress::of($change);

        return PathPicture::of(
            $change,
            $progress,
            $reader,
            byRule: $order->path_by_rule,
            backTo: $reader === null ? [] : self::backTo($reader, $order, $progress),
        );
    }

    /** @return list<int> as SentBackTo tells them */
    public static function backTo(Person $by, ChangeOrder $order, Progress $progress): array
    {
        return SentBackTo::stages($by, new OrderOnPath($order, []), $progress, OrderPolicy::coordinates($by, $order));
    }
}
