<?php

declare(strict_types=1);

namespace App\Planning\Data;

use App\Http\Api\ListOf;
use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Impact\Exposure;

/** Stock and open documents of one item. */
#[OA\Schema]
final readonly class ExposureOfItem
{
    /**
     * @param  list<SupplyTotal>  $totals
     * @param  list<SupplyRow>  $rows
     */
    private function __construct(
        #[OA\Property] public string $item,
        #[OA\Property(description: 'null when planning has never told us')] public ?string $fetched_at,
        #[OA\Property(description: 'whether planning has it among its items')] public bool $known,
        #[OA\Property(description: 'why this is not fresh')] public ?string $fault,
        #[OA\Property] public string $value,
        #[OA\Property] public string $currency,
        #[ListOf(SupplyTotal::class)] public array $totals,
        #[ListOf(SupplyRow::class)] public array $rows,
    ) {}

    public static function of(Exposure $exposure, ?CarbonImmutable $fetchedAt, bool $known, ?string $fault): self
    {
        $totals = [];
        foreach ($exposure->totals as $kind => $total) {
            $totals[] = new SupplyTotal($kind, $total->rows, (string) $total->quantity, $total->unit->value, (string) $total->value);
        }

        return new self(
            item: $exposure->item,
            fetched_at: $fetchedAt?->toIso8601String(),
            known: $known,
            fault: $fault,
            value: (string) $exposure->value,
            currency: config()->string('orthotaxis.currency'),
            totals: $totals,
            rows: array_map(SupplyRow::of(...), $exposure->rows),
        );
    }
}
