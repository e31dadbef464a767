<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use App\Http\Api\ListOf;
use App\Orders\Data\OrderItemData;
use OpenApi\Attributes as OA;

/** The lines that a request proposes, edited and read like those of an order that goes by its number. */
#[OA\Schema]
final readonly class Proposal
{
    /**
     * @param  list<OrderItemData>  $items  open for it; none: the request proposes no lines
     * @param  list<string>  $left_out  subjects that another request on the same order proposes otherwise: "200-0010 manufacturing:Weir"
     */
    public function __construct(
        #[OA\Property] public string $request,
        #[OA\Property(description: 'whether you say what it proposes')] public bool $may_propose,
        #[OA\Property(description: 'whether the request names items that are not open for it yet')] public bool $names_more,
        #[ListOf(OrderItemData::class)] public array $items,
        #[ListOf('string')] public array $left_out,
    ) {}
}
