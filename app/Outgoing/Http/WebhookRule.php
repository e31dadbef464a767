<?php

declare(strict_types=1);

namespace App\Outgoing\Http;

use App\Outgoing\Models\TargetKind;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['name', 'address', 'events', 'retired'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'address', description: 'where events are posted', type: 'string'),
            new OA\Property(
                property: 'events',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'names of events, or a kind of them and a star: order.*',
            ),
            new OA\Property(property: 'retired', type: 'boolean'),
            new OA\Property(property: 'version', description: 'that was on screen; none: it is new', type: 'integer', nullable: true),
        ],
    ),
]
final class WebhookRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'bail|required|string|max:80',
            'address' => ['bail', 'required', 'string', 'max:500', new TargetAddress(TargetKind::Http)],
            'events' => 'bail|present|array|list|max:200',
            'events.*' => 'bail|required|string|max:60',
            'retired' => 'required|boolean',
            'version' => 'nullable|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it a name.',
            'name.max' => 'At most 80 characters.',
            'address.required' => 'Say where events are posted.',
            'address.max' => 'At most 500 characters.',
            'events.present' => 'Choose at least one event.',
            'events.array' => 'Give a list of events.',
            'events.list' => 'Give a list of events.',
            'events.max' => 'At most 200 events; choose all of a kind.',
            'events.*' => 'Name events as the list has them.',
        ];
    }

    /** @return list<string> */
    public function events(): array
    {
        /** @var list<string> $events */
        $events = array_values((array) $this->validated('events'));

        return $events;
    }
}
