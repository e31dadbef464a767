<?php

declare(strict_types=1);

namespace App\Documents\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** Everything written and drawn about an item. */
#[OA\Schema]
final readonly class DocumentPage
{
    /**
     * @param  list<FileRow>  $files  its own, newest first
     * @param  list<DocumentRow>  $documents  drawings and documents that describe it
     * @param  list<DocumentRow>  $describes  items that it describes, when it is a drawing or document itself
     */
    public function __construct(
        #[OA\Property] public string $number,
        #[ListOf(FileRow::class)] public array $files,
        #[ListOf(DocumentRow::class)] public array $documents,
        #[ListOf(DocumentRow::class)] public array $describes,
    ) {}
}
