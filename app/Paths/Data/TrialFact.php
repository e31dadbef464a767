<?php

declare(strict_types=1);

namespace App\Paths\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Approval\Fact;

/** What is so of an order. */
#[OA\Schema]
final readonly class TrialFact
{
    /** @param  list<string>  $values  none: nobody knows */
    public function __construct(#[OA\Property(enum: Fact::class)] public string $fact, #[ListOf('string')] public array $values) {}
}
