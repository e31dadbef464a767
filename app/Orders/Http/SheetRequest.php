<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Orthotaxis\Core\Refusal;

/** A sheet that was taken away, edited and is read back. */
final class SheetRequest extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['file' => 'required|file|max:8192', 'seen' => 'required|integer'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.required' => 'Choose a file.', 'file.max' => 'A sheet has at most 8 megabytes.'];
    }

    /** @return string its path */
    public function sheet(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file->getRealPath() : throw Refusal::at('file', 'Choose a file.');
    }
}
