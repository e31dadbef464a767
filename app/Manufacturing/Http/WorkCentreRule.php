<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/** What a work centre is called, and what an hour of it costs. */
#[
    OA\Schema(
        required: ['name', 'rate'],
        properties: [
            new OA\Property(property: 'code', type: 'string', description: 'of a new one; it stays'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'rate', type: 'string', description: 'of an hour'),
            new OA\Property(property: 'retired', type: 'boolean'),
            new OA\Property(property: 'version', type: 'integer', description: 'as it was read; of a new one none'),
        ],
    ),
]
final class WorkCentreRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $isNew = $this->isMethod('POST');

        return [
            'code' => ['bail', Rule::requiredIf($isNew), 'string', 'max:30', 'regex:/^[A-Za-z0-9][A-Za-z0-9_-]*$/D'],
            'name' => 'bail|required|string|max:80',
            'rate' => 'bail|required|string|max:20',
            'retired' => 'sometimes|boolean',
            'version' => [Rule::requiredIf(!$isNew), 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'code.max' => 'At most 30 characters.',
            'code.*' => 'A code is letters, digits, hyphens and underscores, such as ASSY-1.',
            'name.required' => 'Give it a name.',
            'name.max' => 'At most 80 characters.',
            'rate.*' => 'Say what an hour costs, such as 48.50.',
            'version.*' => 'Say which version of it you have seen.',
        ];
    }

    /** @throws Refusal when it is below zero */
    public function rate(): Money
    {
        $rate = Money::parse($this->string('rate')->toString(), 'rate');

        return $rate->tenThousandths < 0 ? throw Refusal::at('rate', 'An hour costs nothing or more, never less than nothing.') : $rate;
    }
}
