<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Orders\Models\ChangeOrder;
use OpenApi\Attributes as OA;

/** Since when, by whom and why an order is on hold. */
#[OA\Schema]
final readonly class OnHold
{
    private function __construct(
        #[OA\Property] public string $since,
        #[OA\Property] public string $by,
        #[OA\Property] public string $reason,
    ) {}

    public static function of(ChangeOrder $order): ?self
    {
        return $order->on_hold_since === null
            ? null
            : new self($order->on_hold_since->toIso8601String(), $order->onHoldBy->name ?? '', $order->on_hold_reason);
    }
}
