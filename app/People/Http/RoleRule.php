<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Ability;
use App\People\Data\RoleWishes;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['name', 'abilities', 'plants', 'categories', 'second_factor', 'retired'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'abilities', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'plants', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'categories', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'second_factor', type: 'boolean'),
            new OA\Property(property: 'retired', type: 'boolean'),
            new OA\Property(property: 'version', description: 'that was on screen; none: it is new', type: 'integer', nullable: true),
        ],
    ),
]
final class RoleRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'bail|required|string|max:80',
            'abilities' => 'present|array|max:100',
            'abilities.*' => ['bail', 'string', 'distinct', Rule::enum(Ability::class)],
            'plants' => 'present|array|max:100',
            'plants.*' => ['bail', 'string', 'distinct', Rule::exists('choices', 'code')->where('list', 'site')],
            'categories' => 'present|array|max:500',
            'categories.*' => ['bail', 'string', 'distinct', Rule::exists('categories', 'code')],
            'second_factor' => 'required|boolean',
            'retired' => 'required|boolean',
            'version' => 'nullable|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it a name.',
            'name.max' => 'At most 80 characters.',
            'abilities.*' => 'There is no such right.',
            'plants.*' => 'There is no such plant.',
            'categories.*' => 'There is no such category.',
        ];
    }

    public function wishes(): RoleWishes
    {
        $list = fn(string $name): array => array_values(array_filter((array) $this->validated($name), is_string(...)));

        return new RoleWishes(
            name: $this->string('name')->trim()->toString(),
            abilities: $list('abilities'),
            plants: $list('plants'),
            categories: $list('categories'),
            secondFactor: $this->boolean('second_factor'),
            retired: $this->boolean('retired'),
        );
    }
}
