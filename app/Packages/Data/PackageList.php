<?php

declare(strict_types=1);

namespace App\Packages\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** The packages of an order, the newest first. */
#[OA\Schema]
final readonly class PackageList
{
    /**
     * @param  list<PackageRow>  $packages
     * @param  list<string>  $languages
     */
    public function __construct(
        #[ListOf(PackageRow::class)] public array $packages,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'in which one can be made')] public array $languages,
    ) {}
}
