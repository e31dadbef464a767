<?php

declare(strict_types=1);

namespace App\ChangeNotices\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['to', 'acknowledge'],
        properties: [
            new OA\Property(
                property: 'to',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'sign-in names, and groups as group: and their code; none: whoever has not acknowledged it',
            ),
            new OA\Property(property: 'acknowledge', type: 'boolean', description: 'whether they are asked to acknowledge it'),
        ],
    ),
]
final class NoticeSending extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['to' => 'present|array|max:500', 'to.*' => 'bail|required|string|max:80|distinct', 'acknowledge' => 'required|boolean'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to.*.*' => 'Choose each person or group once.', 'to.max' => 'At most 500 at once.'];
    }

    /** @return list<string> */
    public function to(): array
    {
        /** @var list<string> */
        return array_values((array) $this->validated('to'));
    }
}
