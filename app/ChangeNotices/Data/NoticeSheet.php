<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\Documents\Models\ItemFile;
use OpenApi\Attributes as OA;

/** A sheet that was released with the order. */
#[OA\Schema]
final readonly class NoticeSheet
{
    private function __construct(
        #[OA\Property(description: 'under which it is got')] public string $file,
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $revision,
        #[OA\Property] public string $name,
        #[OA\Property] public string $media_type,
        #[OA\Property] public string $sha256,
    ) {}

    public static function of(ItemFile $file): self
    {
        return new self(
            file: $file->id,
            item: $file->item->number,
            title: $file->item->title,
            revision: $file->revision->code ?? '',
            name: $file->name,
            media_type: $file->media_type,
            sha256: $file->sha256,
        );
    }
}
