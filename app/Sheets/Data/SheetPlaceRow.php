<?php

declare(strict_types=1);

namespace App\Sheets\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Sheet\PlaceKind;
use Orthotaxis\Core\Sheet\SheetPlace;
use Orthotaxis\Core\Sheet\SheetSize;

/** A place at which two sheets differ; where it is, in shares of the larger of both. */
#[OA\Schema]
final readonly class SheetPlaceRow
{
    /**
     * @param  list<string>  $went
     * @param  list<string>  $came
     */
    private function __construct(
        #[OA\Property(description: 'from 1, as one reads')] public int $number,
        #[OA\Property(enum: PlaceKind::class)] public string $kind,
        #[OA\Property(description: 'as ISO 5457 names it: B3')] public string $zone,
        #[OA\Property] public float $left,
        #[OA\Property] public float $top,
        #[OA\Property] public float $width,
        #[OA\Property] public float $height,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $went,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $came,
    ) {}

    public static function of(SheetPlace $place, int $number, SheetSize $size): self
    {
        $share = static fn(float $at, float $of): float => round(max(0, min(1, $at / $of)), 4);
        $box = $place->box;

        return new self(
            number: $number,
            kind: $place->kind->value,
            zone: $place->zone,
            left: $share($box->left, $size->width),
            top: $share($box->top, $size->height),
            width: $share($box->right - $box->left, $size->width),
            height: $share($box->bottom - $box->top, $size->height),
            went: $place->went,
            came: $place->came,
        );
    }
}
