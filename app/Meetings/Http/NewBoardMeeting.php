<?php

declare(strict_types=1);

namespace App\Meetings\Http;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** When and where the board is to meet. */
#[
    OA\Schema(
        required: ['day', 'time', 'minutes', 'place'],
        properties: [
            new OA\Property(property: 'day', type: 'string', description: '2026-12-03'),
            new OA\Property(property: 'time', type: 'string', description: '14:30, by the clock of the installation'),
            new OA\Property(property: 'minutes', type: 'integer'),
            new OA\Property(property: 'place', type: 'string'),
        ],
    ),
]
final class NewBoardMeeting extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'day' => 'bail|required|string|date_format:Y-m-d',
            'time' => 'bail|required|string|date_format:H:i',
            'minutes' => 'required|integer|between:5,720',
            'place' => 'present|nullable|string|max:120',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'day.*' => 'Choose a day.',
            'time.*' => 'Give the time as 14:30.',
            'minutes.*' => 'Give 5 to 720 minutes.',
            'place.*' => 'At most 120 characters.',
        ];
    }

    /** @throws Refusal when it is over already */
    public function startsAt(): CarbonImmutable
    {
        $starts = CarbonImmutable::parse("{$this->string('day')} {$this->string('time')}");

        return $starts->isPast() ? throw Refusal::at('day', 'This is over already.') : $starts;
    }
}
