<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use App\Vocabulary\ChangeRow;
use OpenApi\Attributes as OA;

/** Who still points to an older revision of an item, and the open orders under which that can be changed. */
#[OA\Schema]
final readonly class OlderUses
{
    /**
     * @param  list<OlderUse>  $uses
     * @param  list<ChangeRow>  $orders  open for revision
     */
    public function __construct(
        #[OA\Property(description: 'the newest released revision')] public ?string $newest,
        #[ListOf(OlderUse::class)] public array $uses,
        #[ListOf(ChangeRow::class)] public array $orders,
    ) {}
}
