<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Content\Choice;

/** Whose way it goes where two did different things to the same. */
#[
    OA\Schema(
        properties: [
            new OA\Property(
                property: 'choices',
                type: 'array',
                items: new OA\Items(
                    required: ['conflict', 'choice'],
                    properties: [
                        new OA\Property(property: 'conflict', type: 'string', description: 'by its key'),
                        new OA\Property(property: 'choice', type: 'string', enum: Choice::class),
                    ],
                ),
            ),
        ],
    ),
]
final class Chosen extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'choices' => 'sometimes|array|max:5000',
            'choices.*.conflict' => 'required|string|max:200',
            'choices.*.choice' => ['required', Rule::enum(Choice::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['choices.*' => 'Choose mine or theirs of each.'];
    }

    /** @return array<string, Choice> by the key of the conflict */
    public function choices(): array
    {
        /** @var list<array{conflict: string, choice: string}> $chosen */
        $chosen = $this->validated('choices', []);
        $choices = [];
        foreach ($chosen as $one) {
            $choices[$one['conflict']] = Choice::from($one['choice']);
        }

        return $choices;
    }
}
