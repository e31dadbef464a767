<?php

declare(strict_types=1);

namespace App\Attachments\Said;

use OpenApi\Attributes as OA;

/** A file that came with what somebody said. */
#[OA\Schema]
final readonly class SaidFileRow
{
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $media_type,
        #[OA\Property] public int $bytes,
    ) {}

    public static function of(SaidFile $file): self
    {
        return new self($file->id, $file->name, $file->media_type, $file->bytes);
    }
}
