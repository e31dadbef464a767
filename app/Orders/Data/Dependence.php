<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Another open order on which one depends, or that depends on it. */
#[OA\Schema]
final readonly class Dependence
{
    /** @param  list<string>  $of  what of: items, or lines */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $title,
        #[OA\Property] public string $state,
        #[ListOf('string')] public array $of,
    ) {}
}
