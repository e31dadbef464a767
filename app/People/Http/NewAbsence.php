<?php

declare(strict_types=1);

namespace App\People\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['person', 'first_day', 'last_day'],
        properties: [
            new OA\Property(property: 'person', type: 'string', description: 'sign-in name; another than your own where you may set up'),
            new OA\Property(property: 'deputy', type: 'string', nullable: true),
            new OA\Property(property: 'first_day', type: 'string'),
            new OA\Property(property: 'last_day', type: 'string'),
        ],
    ),
]
final class NewAbsence extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'person' => 'required|string|max:60|exists:people,login',
            'deputy' => 'nullable|string|max:60',
            'first_day' => 'required|bail|string|date_format:Y-m-d',
            'last_day' => 'required|bail|string|date_format:Y-m-d',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['person.*' => 'Choose who is away.', 'first_day.*' => 'Choose the first day.', 'last_day.*' => 'Choose the last day.'];
    }
}
