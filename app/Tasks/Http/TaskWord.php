<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Why a task is given to others or ends, or what came of it. */
#[
    OA\Schema(
        required: ['text'],
        properties: [
            new OA\Property(property: 'text', type: 'string'),
            new OA\Property(property: 'to', type: 'string', description: 'where it is handed on: sign-in name, or group: and a code'),
        ],
    ),
]
final class TaskWord extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $isHandedOn = $this->route()?->getActionMethod() === 'handOn';

        return [
            'text' => [$this->mustSay() ? 'required' : 'present', 'nullable', 'string', 'max:5000'],
            ...$isHandedOn ? ['to' => 'bail|required|string|max:80'] : [],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required' => 'Give a reason.',
            'text.max' => 'At most 5,000 characters.',
            'to.required' => 'Choose a person or a group.',
        ];
    }

    public function said(): string
    {
        return $this->string('text')->trim()->toString();
    }

    private function mustSay(): bool
    {
        return in_array($this->route()?->getActionMethod(), ['withdraw', 'reopen'], true);
    }
}
