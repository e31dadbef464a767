<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Orthotaxis\Core\Refusal;

/** A design model that is looked at, or what of it is taken over. */
final class ModelRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'file' => 'required|file|max:32768',
            'keep' => 'required|in:yes,no',
            'chosen' => 'sometimes|json',
            'categories' => 'sometimes|json',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.',
            'file.max' => 'A design model has at most 32 megabytes here: export it without shapes.',
            'keep.required' => 'Say whether it is to be taken over, or only looked at.',
        ];
    }

    /** @return string its path */
    public function model(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file->getRealPath() : throw Refusal::at('file', 'Choose a file.');
    }

    /** @return list<string> keys of rows */
    public function chosen(): array
    {
        return array_values(array_filter($this->decoded('chosen'), is_string(...)));
    }

    /** @return array<array-key, string> codes, by what the model calls something new */
    public function categories(): array
    {
        $codes = array_filter($this->decoded('categories'), is_string(...));

        return array_filter($codes, static fn(string $code): bool => $code !== '');
    }

    /** @return array<array-key, mixed> */
    private function decoded(string $field): array
    {
        $read = json_decode($this->string($field, '[]')->toString(), true);

        return is_array($read) ? $read : [];
    }
}
