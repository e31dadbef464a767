<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\CutIn\Swap;

/** An old part, and the new one in its place where the change says it. */
#[OA\Schema]
final readonly class CutInStartPair
{
    private function __construct(
        #[OA\Property(description: 'item number')] public string $old,
        #[OA\Property(description: 'item number; empty where nothing says it yet')] public string $new,
        #[OA\Property(description: 'of the new for one of the old; null where nothing says it')] public ?string $ratio,
    ) {}

    public static function of(Swap $swap): self
    {
        return new self($swap->old, $swap->new, $swap->ratio === null ? null : (string) $swap->ratio);
    }

    public static function item(string $number): self
    {
        return new self($number, '', null);
    }
}
