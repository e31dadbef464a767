<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Orders\Models\ChangeOrder;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\OrderState;

/** An order to which another is subordinate, or one that is subordinate to it. */
#[OA\Schema]
final readonly class TiedOrderRow
{
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property(enum: OrderState::class)] public string $state,
        #[OA\Property] public ?string $effective_on,
        #[
            OA\Property(description: 'whether both are released in one stroke; else the subordinate one after its parent'),
        ]
        public bool $together,
    ) {}

    /** @param  bool  $together  as the subordinate one of the two says */
    public static function of(ChangeOrder $order, bool $together): self
    {
        return new self(
            number: $order->number,
            title: $order->title,
            state: $order->state->value,
            effective_on: $order->effective_on,
            together: $together,
        );
    }
}
