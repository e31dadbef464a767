<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The version that was on screen. */
#[OA\Schema(required: ['version'], properties: [new OA\Property(property: 'version', type: 'integer')])]
final class Version extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => 'required|integer|min:1',
        ];
    }
}
