<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Manufacturing\Share;

/** So much of a line of manufacturing, through the kits it stands in. */
#[OA\Schema]
final readonly class ShareRow
{
    /** @param  list<string>  $through  numbers of kits and other levels that only manufacturing has, from the top */
    private function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public ItemRow $item,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property] public ?int $operation,
        #[OA\Property] public bool $scrap,
        #[ListOf('string')] public array $through,
    ) {}

    /** @param  array<string, ItemRow>  $items  by number */
    public static function of(Share $share, array $items): self
    {
        return new self(
            key: $share->part->of->key,
            item: $items[$share->part->component()],
            quantity: (string) $share->quantity,
            unit: $share->part->unit()->value,
            operation: $share->part->operation,
            scrap: $share->part->scrap,
            through: $share->part->through,
        );
    }
}
