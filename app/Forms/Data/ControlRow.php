<?php

declare(strict_types=1);

namespace App\Forms\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Form\ControlKind;

/** A control of a template. */
#[OA\Schema]
final readonly class ControlRow
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property(enum: ControlKind::class)] public string $kind,
        #[OA\Property(description: 'what the document calls it')] public string $title,
    ) {}
}
