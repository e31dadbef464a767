<?php

declare(strict_types=1);

namespace App\Requests\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;

/** What becomes of an item on an order. */
#[
    OA\Schema(
        required: ['outcome', 'disposition', 'version'],
        properties: [
            new OA\Property(property: 'outcome', type: 'string', enum: Outcome::class),
            new OA\Property(property: 'disposition', type: 'string', enum: Disposition::class, nullable: true),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class NamedItem extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'outcome' => ['required', Rule::enum(Outcome::class)],
            'disposition' => ['nullable', Rule::enum(Disposition::class)],
            'version' => 'required|integer|min:1',
        ];
    }
}
