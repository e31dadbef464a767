<?php

declare(strict_types=1);

namespace App\Economics\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What a request costs: what becomes of what exists, what is paid once, what every year costs more or less. */
#[OA\Schema]
final readonly class MoneyPage
{
    /**
     * @param  list<DispositionRow>  $dispositions
     * @param  list<MoneyRow>  $one_time
     * @param  list<MoneyRow>  $recurring
     * @param  list<DemandRow>  $demand
     * @param  list<MoneyOfItem>  $by_item  the last for what belongs to none
     * @param  list<string>  $assumed  what is assumed, in words
     */
    public function __construct(
        #[OA\Property] public string $currency,
        #[OA\Property(description: 'when planning told what exists; null: never')] public ?string $told_at,
        #[OA\Property(description: 'when planning told what is wanted of products in a year; null: never')] public ?string $demand_told_at,
        #[OA\Property(description: 'why that is not fresh')] public ?string $fault,
        #[ListOf(DispositionRow::class)] public array $dispositions,
        #[ListOf(MoneyRow::class)] public array $one_time,
        #[ListOf(MoneyRow::class)] public array $recurring,
        #[ListOf(DemandRow::class)] public array $demand,
        #[ListOf(MoneyOfItem::class)] public array $by_item,
        #[OA\Property] public string $one_time_total,
        #[OA\Property] public string $yearly_total,
        #[OA\Property(description: 'months; null: never')] public ?int $payback_months,
        #[ListOf('string')] public array $assumed,
    ) {}
}
