<?php

declare(strict_types=1);

namespace App\Economics\Http;

use App\Economics\FigureKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/** A figure that is said in place of what is computed. */
#[
    OA\Schema(
        required: ['kind', 'subject', 'amount', 'reason'],
        properties: [
            new OA\Property(property: 'kind', type: 'string', enum: FigureKind::class),
            new OA\Property(
                property: 'subject',
                type: 'string',
                description: 'item number and kind of supply; what is paid for; number of the question; item number; number of the product',
            ),
            new OA\Property(property: 'choice', type: 'string', enum: Disposition::class, nullable: true),
            new OA\Property(property: 'amount', description: 'empty for a disposition: what it usually costs', type: 'string'),
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(
                property: 'seen',
                type: 'integer',
                nullable: true,
                description: 'id of what was said on screen; null when nothing was',
            ),
        ],
    ),
]
final class NewFigure extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(FigureKind::class)],
            'subject' => 'required|string|max:120',
            'choice' => ['required_if:kind,disposition', 'nullable', Rule::enum(Disposition::class)],
            'amount' => 'required_unless:kind,disposition|nullable|string|max:30',
            'reason' => 'required|string|max:500',
            'seen' => 'nullable|integer',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'subject.*' => 'Say what it is for, in at most 120 characters.',
            'choice.*' => 'Choose what is done with it.',
            'amount.*' => 'Write the amount.',
            'reason.required' => 'Say why.',
            'reason.max' => 'At most 500 characters.',
        ];
    }

    public function kind(): FigureKind
    {
        return FigureKind::from($this->string('kind')->toString());
    }

    public function amount(): ?int
    {
        $text = $this->string('amount')->trim()->toString();
        if ($text === '') {
            return null;
        }
        if ($this->kind() !== FigureKind::Demand) {
            return Money::parse($text)->tenThousandths;
        }
        $units = Quantity::parse($text, 'amount')->millionths;

        return $units >= 0 ? $units : throw Refusal::at('amount', 'A demand is zero or more.');
    }
}
