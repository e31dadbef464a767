<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Models\Role;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['name', 'email', 'roles', 'active'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'email', type: 'string'),
            new OA\Property(property: 'roles', type: 'array', items: new OA\Items(type: 'string'), description: 'codes'),
            new OA\Property(property: 'active', type: 'boolean'),
            new OA\Property(property: 'version', description: 'that was on screen; none: they are new', type: 'integer', nullable: true),
        ],
    ),
]
final class AccountRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'bail|required|string|max:120',
            'email' => 'bail|required|string|max:200|email:strict',
            'roles' => 'bail|required|array|min:1|max:20',
            'roles.*' => ['bail', 'string', 'distinct', Rule::exists(Role::class, 'code')->where('retired', 'false')],
            'active' => 'required|boolean',
            'version' => 'nullable|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Write their name.',
            'name.max' => 'At most 120 characters.',
            'email.required' => 'Write the address their mails go to.',
            'email.*' => 'Not a mail address.',
            'roles.required' => 'Choose a role at least.',
            'roles.*' => 'There is no such role.',
        ];
    }

    /** @return list<string> */
    public function roles(): array
    {
        /** @var list<string> $roles */
        $roles = array_values((array) $this->validated('roles'));

        return $roles;
    }
}
