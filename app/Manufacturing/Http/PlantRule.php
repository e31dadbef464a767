<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use App\Manufacturing\Data\PlantDayRow;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** When a plant works, and where it is in time. */
#[
    OA\Schema(
        required: ['time_zone', 'weekdays', 'shifts', 'days', 'version'],
        properties: [
            new OA\Property(
                property: 'time_zone',
                type: 'string',
                description: 'as IANA names it; null: that of the installation',
                nullable: true,
            ),
            new OA\Property(property: 'weekdays', type: 'array', items: new OA\Items(type: 'integer'), description: '1 for Monday'),
            new OA\Property(property: 'shifts', type: 'string', description: 'such as 06:00-14:00, 14:00-22:00'),
            new OA\Property(property: 'days', type: 'array', items: new OA\Items(ref: PlantDayRow::class)),
            new OA\Property(property: 'version', type: 'integer', description: 'as it was read; 0: never set up'),
        ],
    ),
]
final class PlantRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'time_zone' => 'present|nullable|string|timezone:all',
            'weekdays' => 'present|array|max:7',
            'weekdays.*' => 'integer|between:1,7|distinct',
            'shifts' => 'present|nullable|string|max:200',
            'days' => 'present|array|max:400',
            'days.*.day' => 'bail|required|string|date_format:Y-m-d|distinct',
            'days.*.works' => 'required|boolean',
            'days.*.name' => 'present|nullable|string|max:60',
            'version' => 'required|integer',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'time_zone.*' => 'No time zone is called so. Use a name such as Europe/Oslo.',
            'weekdays.*' => 'Say on which days of the week it works.',
            'days.*.day.distinct' => 'This day stands twice.',
            'days.*.day.*' => 'Write the day as year-month-day, such as 2026-12-24.',
            'days.*.name.*' => 'At most 60 characters.',
            'version.*' => 'Say which version of it you have seen.',
        ];
    }

    public function timeZone(): ?string
    {
        return $this->string('time_zone')->toString() ?: null;
    }

    /** @return list<int> in the order of the week */
    public function weekdays(): array
    {
        /** @var array<int|string> $days */
        $days = $this->validated('weekdays');
        $days = array_map(intval(...), array_values($days));
        sort($days);

        return $days;
    }

    /** @return list<array{day: string, works: bool, name: string}> */
    public function days(): array
    {
        /** @var array<array{day: string, works: mixed, name: ?string}> $days */
        $days = $this->validated('days');

        return array_map(
            static fn(array $day): array => [
                'day' => $day['day'],
                'works' => filter_var($day['works'], FILTER_VALIDATE_BOOL),
                'name' => trim($day['name'] ?? ''),
            ],
            array_values($days),
        );
    }
}
