<?php

declare(strict_types=1);

namespace App\Attachments\Data;

use App\Attachments\Models\ChangeFile;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ChangeFileRow
{
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(enum: ['evidence', 'mark_up', 'form', 'answer'])] public string $role,
        #[OA\Property] public string $name,
        #[OA\Property] public string $media_type,
        #[OA\Property] public int $bytes,
        #[OA\Property] public string $brought_by,
        #[OA\Property(description: 'sign-in name')] public string $brought_by_login,
        #[OA\Property] public string $brought_at,
    ) {}

    public static function of(ChangeFile $file): self
    {
        return new self(
            id: $file->id,
            role: $file->role->value,
            name: $file->name,
            media_type: $file->media_type,
            bytes: $file->bytes,
            brought_by: $file->person->name,
            brought_by_login: $file->person->login,
            brought_at: $file->brought_at->toIso8601String(),
        );
    }
}
