<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Days\Today;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Under which order, by which day and why a plant takes over later. */
#[
    OA\Schema(
        required: ['order', 'by', 'reason', 'version'],
        properties: [
            new OA\Property(property: 'order', type: 'string'),
            new OA\Property(property: 'by', type: 'string', format: 'date'),
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class FollowUpRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'order' => 'required|string|max:20',
            'by' => 'required|bail|string|date_format:Y-m-d|after_or_equal:' . Today::day(),
            'reason' => 'required|string|max:300',
            'version' => 'required|integer',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'order.required' => 'Name the order under which it follows.',
            'by.required' => 'Say by which day.',
            'by.date_format' => 'Say by which day.',
            'by.after_or_equal' => 'That day has passed.',
            'reason.required' => 'Say why it follows later.',
            'reason.max' => 'At most 300 characters.',
        ];
    }
}
