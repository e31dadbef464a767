<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\CutIn\Guess;
use Orthotaxis\Core\CutIn\Hinge;

/** By how much the best day and its cost move when one assumption is wrong by a tenth. */
#[OA\Schema]
final readonly class CutInHinge
{
    private function __construct(
        #[OA\Property(enum: Guess::class)] public string $guess,
        #[OA\Property(description: 'number of the part; empty for what belongs to all')] public string $item,
        #[OA\Property(description: 'days, with a tenth less; null: no day is possible then')] public ?int $day_less,
        #[OA\Property(description: 'days, with a tenth more')] public ?int $day_more,
        #[OA\Property(description: 'of the best day, with a tenth less')] public string $cost_less,
        #[OA\Property] public string $cost_more,
    ) {}

    public static function of(Hinge $hinge): self
    {
        return new self(
            guess: $hinge->guess->value,
            item: $hinge->part,
            day_less: $hinge->dayLess,
            day_more: $hinge->dayMore,
            cost_less: (string) $hinge->costLess,
            cost_more: (string) $hinge->costMore,
        );
    }
}
