<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Vocabulary\Priority;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** What is set on an order; what is left out stays as it is. */
#[
    OA\Schema(
        required: ['version'],
        properties: [
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'description', type: 'string'),
            new OA\Property(property: 'priority', type: 'string', enum: Priority::class),
            new OA\Property(property: 'effective_on', type: 'string', nullable: true),
            new OA\Property(property: 'editor', type: 'string', nullable: true),
            new OA\Property(property: 'signer', type: 'string', nullable: true),
            new OA\Property(
                property: 'path',
                type: 'string',
                nullable: true,
                description: 'code of an approval path; null: the signer signs; "rule": a rule chooses it until review',
            ),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class OrderPlan extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => 'sometimes|required|string|max:200',
            'description' => 'sometimes|present|nullable|string|max:20000',
            'priority' => ['sometimes', 'required', Rule::enum(Priority::class)],
            'effective_on' => 'sometimes|nullable|string|max:10',
            'editor' => 'sometimes|nullable|string|max:60',
            'signer' => 'sometimes|nullable|string|max:60',
            'path' => 'sometimes|nullable|string|max:30',
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'An order needs a title.',
            'title.max' => 'At most 200 characters.',
        ];
    }

    /** @return array<string, ?string> */
    public function fields(): array
    {
        /** @var array<string, ?string> $fields */
        $fields = $this->safe(['title', 'description', 'priority', 'effective_on', 'editor', 'signer', 'path']);

        return array_key_exists('description', $fields) ? ['description' => $fields['description'] ?? ''] + $fields : $fields;
    }
}
