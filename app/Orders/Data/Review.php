<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use App\Requests\Data\RequestData;
use OpenApi\Attributes as OA;

/** All that somebody needs to judge an order, on one page. */
#[OA\Schema]
final readonly class Review
{
    /**
     * @param  list<RequestData>  $requests
     * @param  list<Redline>  $redlines
     * @param  list<ReachOfItem>  $reach
     */
    public function __construct(
        #[OA\Property] public OrderData $order,
        #[ListOf(RequestData::class)] public array $requests,
        #[ListOf(Redline::class)] public array $redlines,
        #[ListOf(ReachOfItem::class)] public array $reach,
        #[OA\Property] public Consequences $consequences,
        #[OA\Property(description: 'whether you may sign it now')] public bool $may_sign,
        #[OA\Property(description: 'whether you may send it back now')] public bool $may_send_back,
    ) {}
}
