<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\ChangeNotices\Models\DistributionList;
use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** To whom notices of which changes go. */
#[OA\Schema]
final readonly class DistributionListRow
{
    /**
     * @param  list<string>  $plants  codes; none: any
     * @param  list<string>  $products  numbers; none: any
     * @param  list<string>  $categories  codes; none: any
     * @param  list<string>  $recipients
     */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[ListOf('string')] public array $plants,
        #[ListOf('string')] public array $products,
        #[ListOf('string')] public array $categories,
        #[ListOf('string')] public array $recipients,
        #[OA\Property] public bool $acknowledge,
        #[OA\Property(description: 'office days in which it is to be acknowledged')] public ?int $days,
        #[OA\Property] public bool $retired,
        #[OA\Property] public int $version,
    ) {}

    public static function of(DistributionList $list): self
    {
        return new self(
            code: $list->code,
            name: $list->name,
            plants: $list->plants,
            products: $list->products,
            categories: $list->categories,
            recipients: $list->recipients,
            acknowledge: $list->acknowledge,
            days: $list->days,
            retired: $list->retired,
            version: $list->version,
        );
    }
}
