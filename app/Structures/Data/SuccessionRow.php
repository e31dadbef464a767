<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Structures\Models\Succession;
use OpenApi\Attributes as OA;

/** A number and the one that succeeds it. */
#[OA\Schema]
final readonly class SuccessionRow
{
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $successor,
        #[OA\Property] public string $successor_title,
        #[OA\Property(description: 'either can be used where the other is called for')] public bool $interchangeable,
        #[OA\Property] public string $order,
    ) {}

    /** @param  Succession  $row  with items and order */
    public static function of(Succession $row): self
    {
        return new self(
            item: $row->item->number,
            title: $row->item->title,
            kind: $row->item->kind->label(),
            successor: $row->successor->number,
            successor_title: $row->successor->title,
            interchangeable: $row->interchangeable,
            order: $row->order->number,
        );
    }
}
