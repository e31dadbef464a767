<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** The fields of a structure line as text. */
#[OA\Schema]
final readonly class LineRow
{
    private function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public int $find,
        #[OA\Property] public string $component,
        #[OA\Property(description: 'the one revision of the component that goes in; null: the one of the day')] public ?string $revision,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $designators,
        #[OA\Property] public string $notes,
        #[OA\Property] public ?int $operation,
        #[OA\Property(description: 'per cent lost on top of the quantity; empty: none')] public string $scrap,
        #[
            OA\Property(description: 'of manufacturing: the key of the engineering line it stands for; null: it says none'),
        ]
        public ?string $takes_over,
        #[OA\Property] public bool $not_modelled,
        #[OA\Property(description: 'never stocked: its own components go straight into the parent')] public bool $phantom,
        #[OA\Property(description: 'it comes out of the operation and does not go in')] public bool $by_product,
        #[OA\Property] public ?string $first_day,
        #[OA\Property] public ?string $last_day,
    ) {}

    public static function of(Line $line): self
    {
        return new self(
            key: $line->key,
            find: $line->find,
            component: $line->component,
            revision: $line->revision,
            quantity: (string) $line->quantity,
            unit: $line->unit->value,
            designators: $line->designators,
            notes: $line->notes,
            operation: $line->operation,
            scrap: $line->text(LineField::Scrap),
            takes_over: $line->takesOver === '' ? null : $line->takesOver,
            not_modelled: $line->notModelled,
            phantom: $line->phantom,
            by_product: $line->byProduct,
            first_day: $line->validity->from?->__toString(),
            last_day: $line->validity->to?->plusDays(-1)->__toString(),
        );
    }
}
