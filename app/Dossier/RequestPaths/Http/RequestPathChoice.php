<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** On which path a request is judged. */
#[
    OA\Schema(
        required: ['path', 'version'],
        properties: [
            new OA\Property(
                property: 'path',
                type: 'string',
                nullable: true,
                description: 'code of an approval path for requests; null: one person decides; "rule": a rule chooses it until somebody signs',
            ),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class RequestPathChoice extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['path' => 'present|nullable|string|max:30', 'version' => 'required|integer|min:1'];
    }

    public function path(): ?string
    {
        return $this->filled('path') ? $this->string('path')->toString() : null;
    }
}
