<?php

declare(strict_types=1);

namespace App\Requests\Http;

use App\Vocabulary\Priority;
use App\Vocabulary\Reason;
use App\Vocabulary\Site;
use App\Vocabulary\Source;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** What somebody says who asks for a change. */
#[
    OA\Schema(
        required: ['title', 'reason', 'source', 'site', 'priority', 'description', 'items'],
        properties: [
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'reason', type: 'string', enum: Reason::class),
            new OA\Property(property: 'source', type: 'string', enum: Source::class),
            new OA\Property(property: 'site', type: 'string', enum: Site::class),
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
            'reason' => ['required', Rule::enum(Reason::class)],
            'source' => ['required', Rule::enum(Source::class)],
            'site' => ['required', Rule::enum(Site::class)],
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
            'reason' => 'Choose the reason.',
            'source' => 'Choose where this comes from.',
            'site' => 'Choose the site.',
            'priority' => 'Choose how urgent it is.',
            'reason.required' => 'Choose the reason.',
            'source.required' => 'Choose where this comes from.',
            'site.required' => 'Choose the site.',
            'priority.required' => 'Choose how urgent it is.',
        ];
    }
}
