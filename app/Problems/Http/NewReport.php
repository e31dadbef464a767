<?php

declare(strict_types=1);

namespace App\Problems\Http;

use App\Vocabulary\ChoiceList;
use App\Vocabulary\Priority;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** What somebody says who reports a problem. */
#[
    OA\Schema(
        required: ['title', 'source', 'site', 'severity', 'description', 'items'],
        properties: [
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'source', type: 'string', description: 'a code of that list'),
            new OA\Property(property: 'site', type: 'string', description: 'a code of that list'),
            new OA\Property(property: 'severity', type: 'string', enum: Priority::class),
            new OA\Property(property: 'description', type: 'string'),
            new OA\Property(property: 'serial', type: 'string', description: 'serial or lot numbers'),
            new OA\Property(
                property: 'items',
                description: 'none when the unit is known by its serial number only',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ],
    ),
]
final class NewReport extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => 'required|string|max:200',
            'source' => ['bail', 'required', 'string', ChoiceList::Source->isOffered()],
            'site' => ['bail', 'required', 'string', ChoiceList::Site->isOffered()],
            'severity' => ['required', Rule::enum(Priority::class)],
            'description' => 'required|string|max:10000',
            'serial' => 'nullable|string|max:120',
            'items' => 'present|array|max:50|required_without:serial',
            'items.*' => 'required|string|max:60|distinct',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Say in a line what is wrong.',
            'title.max' => 'At most 200 characters; the rest belongs in the description.',
            'description.required' => 'Describe what was seen.',
            'description.max' => 'At most 10,000 characters.',
            'serial.max' => 'At most 120 characters.',
            'source.*' => 'Choose where this comes from.',
            'site.*' => 'Choose the site.',
            'severity.*' => 'Choose how severe it is.',
            'items.required_without' => 'Name the item, or write the serial number of the unit.',
            'items.*.distinct' => 'An item is named twice.',
        ];
    }

    /** @return array{title: string, source: string, site: string, severity: string, description: string, serial: string} */
    public function fields(): array
    {
        $text = fn(string $name): string => $this->string($name)->toString();

        return [
            'title' => $text('title'),
            'source' => $text('source'),
            'site' => $text('site'),
            'severity' => $text('severity'),
            'description' => $text('description'),
            'serial' => $text('serial'),
        ];
    }

    /** @return list<string> */
    public function items(): array
    {
        return array_values(array_map(strval(...), (array) $this->validated('items')));
    }
}
