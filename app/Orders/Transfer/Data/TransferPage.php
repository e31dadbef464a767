<?php

declare(strict_types=1);

namespace App\Orders\Transfer\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What the edits of an order would be in sibling structures, and what was carried over before. */
#[OA\Schema]
final readonly class TransferPage
{
    /**
     * @param  list<TransferSource>  $sources
     * @param  list<TransferRow>  $rows
     * @param  list<TransferLog>  $log  newest first
     */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $order_title,
        #[OA\Property(description: 'the order that gets them')] public string $into,
        #[OA\Property(description: 'why you cannot do it now; null: you can')] public ?string $may_transfer,
        #[ListOf(TransferSource::class)] public array $sources,
        #[ListOf(TransferRow::class)] public array $rows,
        #[ListOf(TransferLog::class)] public array $log,
    ) {}
}
