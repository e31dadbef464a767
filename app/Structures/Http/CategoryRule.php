<?php

declare(strict_types=1);

namespace App\Structures\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Numbering\NumberRule;
use Orthotaxis\Core\Revision\Sequence;

/** How the items of a category are numbered and revised. */
#[OA\Schema(required: ['number_prefix', 'number_width', 'number_check', 'sequence'], properties: [
    new OA\Property(property: 'number_prefix', type: 'string'),
    new OA\Property(property: 'number_width', type: 'integer'),
    new OA\Property(property: 'number_check', type: 'boolean', description: 'whether a check digit follows'),
    new OA\Property(property: 'sequence', type: 'string', enum: Sequence::class),
])]
final class CategoryRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['number_prefix' => 'present|nullable|string', 'number_width' => 'required|integer', 'number_check' => 'required|boolean', 'sequence' => ['required', Rule::enum(Sequence::class)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['number_width.*' => 'The counter has 1 to 12 digits.', 'sequence.*' => 'Choose the sequence of revisions.'];
    }

    public function rule(): NumberRule
    {
        return NumberRule::of($this->string('number_prefix')->trim()->toString(), $this->integer('number_width'), $this->boolean('number_check'));
    }
}
