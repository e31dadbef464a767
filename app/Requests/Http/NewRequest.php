<?php

declare(strict_types=1);

namespace App\Requests\Http;

use App\Vocabulary\ChoiceList;
use App\Vocabulary\Priority;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** What somebody says who asks for a change. */
#[
    OA\Schema(
        required: ['title', 'reason', 'source', 'site', 'priority', 'description', 'items'],
        properties: [
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'reason', type: 'string', description: 'a code of that list'),
            new OA\Property(property: 'source', type: 'string', description: 'a code of that list'),
            new OA\Property(property: 'site', type: 'string', description: 'a code of that list'),
            new OA\Property(property: 'priority', type: 'string', enum: Priority::class),
            new OA\Property(property: 'description', type: 'string'),
            new OA\Property(property: 'items', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(
                property: 'reports',
                description: 'numbers of the problem reports that it answers',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ],
    ),
]
final class NewRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => 'required|string|max:200',
            'reason' => ['bail', 'required', 'string', ChoiceList::Reason->isOffered()],
            'source' => ['bail', 'required', 'string', ChoiceList::Source->isOffered()],
            'site' => ['bail', 'required', 'string', ChoiceList::Site->isOffered()],
            'priority' => ['required', Rule::enum(Priority::class)],
            'description' => 'required|string|max:10000',
            'items' => 'required|array|min:1|max:200',
            'items.*' => 'required|string|max:60|distinct',
            'reports' => 'sometimes|array|max:200',
            'reports.*' => 'required|string|max:20|distinct',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Say in a line what is to change.',
            'title.max' => 'At most 200 characters; the rest belongs in the description.',
            'description.required' => 'Describe what is wrong or wanted.',
            'description.max' => 'At most 10,000 characters.',
            'items.required' => 'Name at least one affected item.',
            'items.*.distinct' => 'An item is named twice.',
            'reason.*' => 'Choose the reason.',
            'source.*' => 'Choose where this comes from.',
            'site.*' => 'Choose the site.',
            'priority' => 'Choose how urgent it is.',
            'priority.required' => 'Choose how urgent it is.',
        ];
    }
}
