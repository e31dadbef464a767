<?php

declare(strict_types=1);

namespace App\Documents\Data;

use App\Days\Today;
use App\Documents\Models\ItemFile;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Revision\Phase;

/** A file of an item, and what it stands for. */
#[OA\Schema]
final readonly class FileRow
{
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $item,
        #[OA\Property(enum: ['sheet', 'data_sheet', 'picture', 'model'])] public string $role,
        #[OA\Property] public string $name,
        #[OA\Property] public string $media_type,
        #[OA\Property] public int $bytes,
        #[OA\Property(description: 'the revision it belongs to; null for a draft of the coming one')] public ?string $revision,
        #[OA\Property(enum: Phase::class, description: 'what that revision is today; in_work for a draft')] public string $status,
        #[OA\Property(description: 'when its revision comes into force')] public ?string $first_day,
        #[OA\Property(description: 'the order that brings or brought it')] public ?string $order,
        #[OA\Property] public string $brought_by,
        #[OA\Property] public string $brought_at,
    ) {}

    public static function of(ItemFile $file): self
    {
        $today = Today::day();

        return new self(
            id: $file->id,
            item: $file->item->number,
            role: $file->role->value,
            name: $file->name,
            media_type: $file->media_type,
            bytes: $file->bytes,
            revision: $file->revision?->code,
            status: $file->revision?->dated()->phase($today)->value ?? Phase::InWork->value,
            first_day: $file->revision?->effective_from,
            order: $file->order?->number,
            brought_by: $file->person->name ?? '',
            brought_at: $file->brought_at->toIso8601String(),
        );
    }
}
