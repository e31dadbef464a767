<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use App\Orders\Models\ChangeOrder;
use OpenApi\Attributes as OA;

/** What every act answers, and the items at which something was undone or done again. */
#[OA\Schema]
final readonly class Turned
{
    /** @param  list<string>  $items  numbers */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public int $version,
        #[ListOf('string')] public array $items,
    ) {}

    /** @param  list<string>  $items */
    public static function of(string $number, array $items): self
    {
        $done = ChangeOrder::done($number);

        return new self($done->number, $done->version, $items);
    }
}
