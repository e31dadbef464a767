<?php

declare(strict_types=1);

namespace App\Assessment\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Assessment\Standing;

#[OA\Schema]
final readonly class StandingOfFunction
{
    /** @param  list<string>  $by  who answered, or who is waited for */
    public function __construct(
        #[OA\Property(description: 'its code')] public string $function,
        #[OA\Property(enum: Standing::class)] public string $standing,
        #[ListOf('string')] public array $by,
    ) {}
}
