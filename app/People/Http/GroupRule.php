<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Models\Person;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['name', 'members', 'retired'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'members', type: 'array', items: new OA\Items(type: 'string'), description: 'sign-in names'),
            new OA\Property(property: 'retired', type: 'boolean'),
            new OA\Property(property: 'version', description: 'that was on screen; none: it is new', type: 'integer', nullable: true),
        ],
    ),
]
final class GroupRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'bail|required|string|max:80',
            'members' => 'present|array|max:500',
            'members.*' => [
                'bail',
                'string',
                'distinct',
                static function (string $place, mixed $value, \Closure $fail): void {
                    if (Person::query()->where('login', $value)->where('active', true)->doesntExist()) {
                        $fail('There is no such person.');
                    }
                },
            ],
            'retired' => 'required|boolean',
            'version' => 'nullable|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Give it a name.', 'name.max' => 'At most 80 characters.'];
    }

    /** @return list<string> */
    public function members(): array
    {
        /** @var list<string> $members */
        $members = array_values((array) $this->validated('members'));

        return $members;
    }
}
