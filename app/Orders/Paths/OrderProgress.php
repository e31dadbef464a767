<?php

declare(strict_types=1);

namespace App\Orders\Paths;

use App\Orders\Models\ChangeOrder;
use App\Paths\PathProgress;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\Progress;

/** How far an order has come on its path. */
final readonly class OrderProgress
{
    /** @param  list<int>  $proposers  ids of who raised and edited it, who judge nothing of it */
    public static function of(ChangeOrder $order, array $proposers): Progress
    {
        return PathProgress::of(new OrderOnPath($order, $proposers));
    }

    public static function path(ChangeOrder $order): Path
    {
        return (new OrderOnPath($order, []))->path();
    }
}
