<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Topic;
use App\Days\Today;
use App\People\Models\Person;
use App\People\Rights;
use App\Vocabulary\ChoiceList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** One thing asked about some items. */
#[
    OA\Schema(
        required: ['items', 'function', 'topic', 'text', 'to', 'due_on'],
        properties: [
            new OA\Property(property: 'items', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'function', type: 'string'),
            new OA\Property(property: 'topic', type: 'string', enum: Topic::class),
            new OA\Property(property: 'text', type: 'string'),
            new OA\Property(
                property: 'to',
                description: 'sign-in name of a person, or a role: then any of its people answers',
                type: 'string',
            ),
            new OA\Property(property: 'due_on', type: 'string'),
        ],
    ),
]
final class NewQuestion extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'items' => 'required|array|min:1|max:50',
            'items.*' => 'required|string|max:60|distinct',
            'function' => ['bail', 'required', 'string', ChoiceList::CompanyFunction->isOffered()],
            'topic' => ['required', Rule::enum(Topic::class)],
            'text' => 'required|string|max:2000',
            'due_on' => 'required|bail|string|date_format:Y-m-d|after_or_equal:' . Today::day(),
            'to' => [
                'bail',
                'required',
                'string',
                static function (string $place, mixed $value, \Closure $fail): void {
                    if (
                        app(Rights::class)->name((string) $value) === null &&
                        Person::query()->where('login', $value)->where('active', true)->doesntExist()
                    ) {
                        $fail('There is no such person or group.');
                    }
                },
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'items.required' => 'Choose at least one item.',
            'function.*' => 'Choose the function.',
            'topic.*' => 'Choose what it is about.',
            'text.required' => 'Write the question.',
            'text.max' => 'At most 2,000 characters.',
            'to.required' => 'Choose whom to ask.',
            'due_on.*' => 'Choose a day from today on.',
        ];
    }
}
