<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Vocabulary\Priority;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** What somebody says who raises an order. */
#[
    OA\Schema(
        required: ['title', 'description', 'priority', 'items', 'requests'],
        properties: [
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'description', type: 'string', description: 'may be empty where requests say it'),
            new OA\Property(property: 'priority', type: 'string', enum: Priority::class),
            new OA\Property(property: 'items', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'requests', type: 'array', items: new OA\Items(type: 'string'), description: 'approved ones'),
            new OA\Property(property: 'parent', type: 'string', nullable: true, description: 'order to which it is subordinate'),
        ],
    ),
]
final class NewOrder extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => 'required|string|max:200',
            'description' => 'nullable|string|max:20000|required_without:requests',
            'priority' => ['required', Rule::enum(Priority::class)],
            'items' => 'present|array|list|max:500|required_without:requests',
            'items.*' => 'required|string|max:100|distinct',
            'requests' => 'present|array|list|max:50',
            'requests.*' => 'required|string|max:40|distinct',
            'parent' => 'nullable|string|max:40',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'An order needs a title.',
            'title.max' => 'At most 200 characters.',
            'description.required_without' => 'Say what changes and why: there is no request that does.',
            'items.required_without' => 'Name at least one item.',
            'items.max' => 'At most 500 items at once.',
            'priority.required' => 'Choose a priority.',
        ];
    }

    public function priority(): Priority
    {
        return Priority::from($this->string('priority')->toString());
    }

    /** @return list<string> */
    public function numbers(string $of): array
    {
        /** @var list<string> $numbers */
        $numbers = $this->validated($of);

        return $numbers;
    }
}
