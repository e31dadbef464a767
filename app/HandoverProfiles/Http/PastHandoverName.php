<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['hand_over'], properties: [new OA\Property(property: 'hand_over', type: 'string')])]
final class PastHandoverName extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['hand_over' => 'bail|required|string|max:120'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['hand_over.*' => 'Choose a past hand-over.'];
    }
}
