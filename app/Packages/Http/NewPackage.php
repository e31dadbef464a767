<?php

declare(strict_types=1);

namespace App\Packages\Http;

use App\Sheets\SheetWords;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** In which language a package is made. */
#[OA\Schema(required: ['language'], properties: [new OA\Property(property: 'language', type: 'string')])]
final class NewPackage extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['language' => ['required', 'bail', 'string', Rule::in(SheetWords::languages())]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['language.*' => 'Documents are written in ' . implode(', ', SheetWords::languages()) . '.'];
    }
}
