<?php

declare(strict_types=1);

namespace App\People\Data;

use App\Http\Api\ListOf;
use App\People\Models\SeparationOfDuties;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Rights\Duty;
use Orthotaxis\Core\Rights\Separation;

/** Which duties one person may not have on one change. */
#[OA\Schema]
final readonly class SeparationPage
{
    /**
     * @param  list<DutyRow>  $duties
     * @param  list<DutyPair>  $always
     * @param  list<DutyPair>  $pairs
     */
    private function __construct(
        #[ListOf(DutyRow::class)] public array $duties,
        #[ListOf(DutyPair::class)] public array $always,
        #[ListOf(DutyPair::class)] public array $pairs,
        #[OA\Property] public int $version,
    ) {}

    public static function of(SeparationOfDuties $kept): self
    {
        return new self(
            duties: array_map(DutyRow::of(...), Duty::cases()),
            always: array_map(static fn(array $pair): DutyPair => new DutyPair($pair[0]->value, $pair[1]->value), Separation::always()),
            pairs: array_map(static fn(array $pair): DutyPair => new DutyPair($pair[0], $pair[1]), $kept->pairs),
            version: $kept->version,
        );
    }
}
