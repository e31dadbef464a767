<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\People\Ability;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['name', 'all', 'scopes', 'days'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'all', description: 'whether it may whatever you may', type: 'boolean'),
            new OA\Property(
                property: 'scopes',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'abilities besides reading; none: it only reads',
            ),
            new OA\Property(property: 'days', description: 'after which it ends, 1 to 730', type: 'integer'),
        ],
    ),
]
final class NewTokenRule extends FormRequest
{
    public const LONGEST = 730;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'bail|required|string|max:80',
            'all' => 'required|boolean',
            'scopes' => 'present|array|max:100',
            'scopes.*' => ['bail', 'string', 'distinct', Rule::enum(Ability::class)],
            'days' => 'bail|required|integer|between:1,' . self::LONGEST,
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Say which program it is for.',
            'name.max' => 'At most 80 characters.',
            'scopes.*' => 'There is no such right.',
            'days.*' => 'A token lasts from 1 to ' . self::LONGEST . ' days.',
        ];
    }

    /** @return list<string> as the token keeps them */
    public function scopes(): array
    {
        return $this->boolean('all') ? ['*'] : array_values(array_filter((array) $this->validated('scopes'), is_string(...)));
    }
}
