<?php

declare(strict_types=1);

namespace App\Discussion\Http;

use App\Attachments\Said\SaysWithFiles;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What somebody says; @ and a sign-in name tells that person of it. With files it is sent as a form. */
#[
    OA\Schema(
        required: ['text'],
        properties: [
            new OA\Property(property: 'text', type: 'string'),
            new OA\Property(property: 'item', type: 'string', description: 'of which line of the order it is said: its parent'),
            new OA\Property(property: 'work', type: 'string', description: '"engineering", "manufacturing:Weir"'),
            new OA\Property(property: 'line', type: 'string', description: 'key of the line'),
            new OA\Property(property: 'files', type: 'array', items: new OA\Items(type: 'string', format: 'binary')),
        ],
    ),
]
final class NewComment extends FormRequest
{
    use SaysWithFiles;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'text' => 'required|string|max:5000',
            'item' => 'string|max:40|required_with:line',
            'work' => 'string|max:60|required_with:line',
            'line' => 'string|max:80',
            ...self::ofFiles(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.required' => 'Write something.', 'text.*' => 'At most 5,000 characters.', ...self::aboutFiles()];
    }
}
