<?php

declare(strict_types=1);

namespace App\Attachments\Http;

use App\Attachments\AttachmentRole;
use App\Http\BringsFile;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** A file that somebody brings to a report or a request. */
#[
    OA\Schema(
        required: ['role', 'file'],
        properties: [
            new OA\Property(property: 'role', type: 'string', enum: ['evidence', 'mark_up']),
            new OA\Property(property: 'file', type: 'string', format: 'binary'),
        ],
    ),
]
final class NewChangeFile extends FormRequest
{
    use BringsFile;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'role' => ['required', Rule::in([AttachmentRole::Evidence->value, AttachmentRole::MarkUp->value])],
            'file' => 'required|file|max:32768',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.',
            'file.max' => 'A file has at most 32 megabytes.',
            'role.*' => 'Say what it is: evidence or a mark-up.',
        ];
    }

    public function role(): AttachmentRole
    {
        return AttachmentRole::from($this->string('role')->toString());
    }
}
