<?php

declare(strict_types=1);

namespace App\Structures\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Revision\Sequence;

#[OA\Schema(required: ['sequence'], properties: [new OA\Property(property: 'sequence', type: 'string', enum: Sequence::class)])]
final class KindRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['sequence' => ['required', Rule::enum(Sequence::class)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['sequence' => 'Choose the sequence of revisions.', 'sequence.required' => 'Choose the sequence of revisions.'];
    }
}
