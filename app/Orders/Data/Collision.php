<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Another open order on the same items. */
#[OA\Schema]
final readonly class Collision
{
    /** @param  list<string>  $items numbers */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $title,
        #[OA\Property] public string $state,
        #[ListOf('string')] public array $items,
    ) {}
}
