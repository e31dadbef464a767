<?php

declare(strict_types=1);

namespace App\Releases\Data;

use App\Releases\Models\HandoverEntry;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class HandoverEntryRow
{
    private function __construct(
        #[OA\Property] public int $number,
        #[OA\Property(enum: ['supersede', 'add', 'remove', 'replace', 'change', 'keep'])] public string $action,
        #[OA\Property] public string $item,
        #[OA\Property] public string $revision,
        #[OA\Property] public ?int $find,
        #[OA\Property] public ?string $component,
        #[OA\Property] public ?string $quantity,
        #[OA\Property] public ?string $unit,
        #[OA\Property(enum: ['waiting', 'taken', 'refused'])] public string $answer,
        #[OA\Property] public string $reason,
    ) {}

    public static function of(HandoverEntry $entry): self
    {
        $text = static fn(string $name): ?string => isset($entry->record[$name]) ? (string) $entry->record[$name] : null;

        return new self(
            number: $entry->number,
            action: (string) $text('action'),
            item: (string) $text('item'),
            revision: (string) $text('revision'),
            find: $text('find') === null ? null : (int) $text('find'),
            component: $text('component'),
            quantity: $text('quantity'),
            unit: $text('unit'),
            answer: $entry->answer,
            reason: $entry->reason,
        );
    }
}
