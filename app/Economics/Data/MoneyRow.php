<?php

declare(strict_types=1);

namespace App\Economics\Data;

use App\Economics\FigureKind;
use OpenApi\Attributes as OA;

/** One sum of what a change costs, once or every year. */
#[OA\Schema]
final readonly class MoneyRow
{
    public function __construct(
        #[OA\Property(description: 'number; empty when it belongs to no item')] public string $item,
        #[OA\Property] public string $what,
        #[OA\Property] public string $amount,
        #[OA\Property(description: 'of what is paid every year: for one unit')] public ?string $per_unit,
        #[OA\Property(description: 'of what is paid every year: units a year')] public ?string $units,
        #[OA\Property(ref: FigureSource::class, nullable: true)] public ?FigureSource $said,
        #[OA\Property(description: 'who answered, where it comes from an answer')] public ?string $answered_by = null,
        #[
            OA\Property(
                description: 'what somebody says who says otherwise; null where that is said elsewhere',
                enum: FigureKind::class,
                nullable: true,
            ),
        ]
        public ?string $figure = null,
        #[OA\Property(description: 'and of what')] public string $subject = '',
    ) {}
}
