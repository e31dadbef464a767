<?php

declare(strict_types=1);

namespace App\Orders\Replacing\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What replacing a component would do under an order, before it is done. */
#[OA\Schema]
final readonly class ReplacementPage
{
    /**
     * @param  list<ReplacedItem>  $new
     * @param  list<string>  $works
     * @param  list<ReplacementRow>  $rows
     */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $order_title,
        #[OA\Property] public string $state,
        #[OA\Property] public ?string $effective_on,
        #[OA\Property] public ReplacedItem $old,
        #[ListOf(ReplacedItem::class)] public array $new,
        #[OA\Property(description: 'the first day of the new; null: with the revision')] public ?string $from,
        #[ListOf('string')] public array $works,
        #[OA\Property(description: 'why you cannot do it now; null: you can')] public ?string $may_replace,
        #[OA\Property(description: 'whether you may name further items on the order')] public bool $may_name,
        #[OA\Property] public string $currency,
        #[ListOf(ReplacementRow::class)] public array $rows,
    ) {}
}
