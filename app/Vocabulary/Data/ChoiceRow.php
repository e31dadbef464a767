<?php

declare(strict_types=1);

namespace App\Vocabulary\Data;

use App\Vocabulary\ChoiceList;
use App\Vocabulary\Models\Choice;
use OpenApi\Attributes as OA;

/** One of a list that people choose from. */
#[OA\Schema]
final readonly class ChoiceRow
{
    private function __construct(
        #[OA\Property(enum: ChoiceList::class)] public string $list,
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'offered no longer')] public bool $retired,
        #[OA\Property] public int $version,
    ) {}

    public static function of(Choice $choice): self
    {
        return new self($choice->list, $choice->code, $choice->name, $choice->retired, $choice->version);
    }
}
