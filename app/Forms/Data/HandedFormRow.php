<?php

declare(strict_types=1);

namespace App\Forms\Data;

use App\Forms\Models\HandedForm;
use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Form\FormState;

/** A form that was handed out. */
#[OA\Schema]
final readonly class HandedFormRow
{
    /** @param  list<string>  $taken  what of it was taken in */
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $template,
        #[OA\Property(enum: FormState::class)] public string $state,
        #[OA\Property] public string $handed_by,
        #[OA\Property] public string $handed_at,
        #[OA\Property] public ?string $settled_by,
        #[OA\Property] public ?string $settled_at,
        #[ListOf('string')] public array $taken,
        #[OA\Property(description: 'the file as it came back, under /api/change-files')] public ?string $file,
    ) {}

    public static function of(HandedForm $form): self
    {
        return new self(
            number: $form->number,
            template: $form->template->name,
            state: $form->state->value,
            handed_by: $form->handedBy->name,
            handed_at: $form->handed_at->toIso8601String(),
            settled_by: $form->settledBy?->name,
            settled_at: $form->settled_at?->toIso8601String(),
            taken: $form->taken['told'] ?? [],
            file: $form->taken['form'] ?? null,
        );
    }
}
