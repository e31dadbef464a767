<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What is opened for the lines that a request proposes, besides the items that it names. */
#[
    OA\Schema(
        required: ['items'],
        properties: [new OA\Property(property: 'items', type: 'array', items: new OA\Items(type: 'string'), description: 'further ones')],
    ),
]
final class NewProposal extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['items' => 'present|array|list|max:500', 'items.*' => 'required|string|max:100|distinct'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['items.max' => 'At most 500 items at once.'];
    }

    /** @return list<string> numbers */
    public function items(): array
    {
        /** @var list<string> $numbers */
        $numbers = $this->validated('items');

        return $numbers;
    }
}
