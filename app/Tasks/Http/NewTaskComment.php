<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\Attachments\Said\SaysWithFiles;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What somebody says on a task. With files it is sent as a form. */
#[
    OA\Schema(
        required: ['text'],
        properties: [
            new OA\Property(property: 'text', type: 'string'),
            new OA\Property(property: 'files', type: 'array', items: new OA\Items(type: 'string', format: 'binary')),
        ],
    ),
]
final class NewTaskComment extends FormRequest
{
    use SaysWithFiles;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['text' => 'required|string|max:5000', ...self::ofFiles()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.required' => 'Write something.', 'text.*' => 'At most 5,000 characters.', ...self::aboutFiles()];
    }
}
