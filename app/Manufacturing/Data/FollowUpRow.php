<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\FollowsLater;

/** Under which order, by which day and why a plant takes over later. */
#[OA\Schema]
final readonly class FollowUpRow
{
    private function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $by,
        #[OA\Property] public string $reason,
    ) {}

    public static function of(FollowsLater $later): self
    {
        return new self($later->order, (string) $later->by, $later->reason);
    }
}
