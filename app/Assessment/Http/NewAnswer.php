<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Quantity\Money;

/** What a specialist answers. */
#[
    OA\Schema(
        required: ['answer'],
        properties: [
            new OA\Property(property: 'answer', type: 'string'),
            new OA\Property(
                property: 'no_effect',
                description: '1: the change does not concern this item in this function',
                type: 'string',
                enum: ['', '0', '1'],
            ),
            new OA\Property(property: 'one_time', type: 'string'),
            new OA\Property(property: 'recurring', description: 'for one unit of the item; less than zero is a saving', type: 'string'),
            new OA\Property(property: 'file', type: 'string', format: 'binary'),
            new OA\Property(
                property: 'seen',
                type: 'string',
                description: 'version of the answer that was on screen; 0 or empty when there was none',
            ),
        ],
    ),
]
final class NewAnswer extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'answer' => 'required_unless:no_effect,1|nullable|string|max:5000',
            'no_effect' => 'nullable|in:0,1',
            'one_time' => 'nullable|string|max:20',
            'recurring' => 'nullable|string|max:20',
            'file' => 'nullable|file|max:32768',
            'seen' => 'nullable|integer',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'answer.required_unless' => 'Write the answer, or say that there is no effect.',
            'answer.max' => 'At most 5,000 characters.',
            'file.max' => 'A file has at most 32 megabytes.',
        ];
    }

    public function money(string $name): ?Money
    {
        $text = $this->string($name)->trim()->toString();

        return $text === '' ? null : Money::parse($text, $name);
    }

    public function brought(): ?UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : null;
    }
}
