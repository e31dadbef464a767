<?php

declare(strict_types=1);

namespace App\Forms\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The template that a form is made from. */
#[OA\Schema(required: ['template'], properties: [new OA\Property(property: 'template', type: 'integer')])]
final class ChosenTemplate extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['template' => 'required|integer'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['template.*' => 'Choose a template.'];
    }
}
