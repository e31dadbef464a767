<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Data\DutyPair;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Rights\Duty;

#[
    OA\Schema(
        required: ['pairs', 'version'],
        properties: [
            new OA\Property(property: 'pairs', type: 'array', items: new OA\Items(ref: DutyPair::class)),
            new OA\Property(property: 'version', description: 'that was on screen', type: 'integer'),
        ],
    ),
]
final class SeparationRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'pairs' => 'present|array|max:100',
            'pairs.*.one' => ['required', Rule::enum(Duty::class)],
            'pairs.*.other' => ['required', Rule::enum(Duty::class), 'different:pairs.*.one'],
            'version' => 'required|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['pairs.*.*.*' => 'A pair is two duties that there are.'];
    }

    /** @return list<array{string, string}> */
    public function pairs(): array
    {
        /** @var list<array{one: string, other: string}> $pairs */
        $pairs = array_values((array) $this->validated('pairs'));

        return array_map(static fn(array $pair): array => [$pair['one'], $pair['other']], $pairs);
    }
}
