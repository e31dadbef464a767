<?php

declare(strict_types=1);

namespace App\Releases\Data;

use App\Releases\Models\HandoverEntry;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\ItemData\ItemField;

#[OA\Schema]
final readonly class HandoverEntryRow
{
    private function __construct(
        #[OA\Property] public int $number,
        #[OA\Property(enum: ['introduce', 'supersede', 'add', 'remove', 'replace', 'change', 'keep', 'settle'])] public string $action,
        #[OA\Property(description: 'the plant whose structure it is; null: of engineering')] public ?string $plant,
        #[OA\Property] public string $item,
        #[OA\Property] public string $revision,
        #[OA\Property] public ?int $operation,
        #[OA\Property(description: 'of an operation: what is done')] public ?string $title,
        #[OA\Property] public ?int $find,
        #[OA\Property] public ?string $component,
        #[OA\Property(description: 'it comes out, and does not go in')] public bool $by_product,
        #[
            OA\Property(
                description: 'of the data of an item: which field, and what it reads; of a document in planning: which, and what is done about it',
            ),
        ]
        public ?string $data,
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
            plant: $text('plant'),
            item: (string) $text('item'),
            revision: (string) $text('revision'),
            operation: $text('operation') === null ? null : (int) $text('operation'),
            title: $text('operationTitle'),
            find: $text('find') === null ? null : (int) $text('find'),
            component: $text('component'),
            by_product: $text('byProduct') !== null,
            data: match ($text('structure')) {
                Subject::ITEM_DATA => self::data($text('field'), (string) $text('of'), (string) $text('value')),
                Subject::DOCUMENT => self::document(
                    (string) $text('document'),
                    (string) $text('way'),
                    $text('toItem') ?? $text('toRevision'),
                ),
                default => null,
            },
            quantity: $text('quantity'),
            unit: $text('unit'),
            answer: $entry->answer,
            reason: $entry->reason,
        );
    }

    /** "Minimum lot at Weir: 250"; where it is of all of them, that it is. */
    private static function data(?string $field, string $of, string $value): string
    {
        return $field === null ? 'Item data' : (new DataField(ItemField::from($field), $of))->label() . ": {$value}";
    }

    /** "PO-31207: change over to G" */
    private static function document(string $document, string $way, ?string $comes): string
    {
        return "{$document}: " . str_replace('_', ' ', $way) . ($comes === null ? '' : " to {$comes}");
    }
}
