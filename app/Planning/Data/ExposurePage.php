<?php

declare(strict_types=1);

namespace App\Planning\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Stock and open documents of some items. */
#[OA\Schema]
final readonly class ExposurePage
{
    /**
     * @param  list<ExposureOfItem>  $items
     * @param  list<string>  $strangers
     */
    public function __construct(#[ListOf(ExposureOfItem::class)] public array $items, #[ListOf('string')] public array $strangers) {}
}
