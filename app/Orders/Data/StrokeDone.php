<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Orders\Models\ChangeOrder;
use OpenApi\Attributes as OA;

/** What every act answers, and what was done to several subjects at one stroke, which can be undone as one. */
#[OA\Schema]
final readonly class StrokeDone
{
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public int $version,
        #[OA\Property(description: 'by which it is undone')] public string $stroke,
    ) {}

    public static function of(string $number, string $stroke): self
    {
        $done = ChangeOrder::done($number);

        return new self($done->number, $done->version, $stroke);
    }
}
