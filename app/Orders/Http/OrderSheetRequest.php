<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Orthotaxis\Core\Content\Choice;
use Orthotaxis\Core\Refusal;

/** A sheet of an order that comes back, and whose way it goes where two did different things to the same. */
final class OrderSheetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'file' => 'required|file|max:32768',
            'keep' => 'required|in:yes,no',
            'choices' => 'sometimes|array|max:5000',
            'choices.*' => [Rule::enum(Choice::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.',
            'file.max' => 'A sheet of an order has at most 32 megabytes.',
            'keep.required' => 'Say whether it is to be done, or only looked at.',
        ];
    }

    /** @return string its path */
    public function sheet(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file->getRealPath() : throw Refusal::at('file', 'Choose a file.');
    }

    /** @return array<string, Choice> by the key of the conflict */
    public function choices(): array
    {
        /** @var array<string, string> $choices */
        $choices = $this->validated('choices', []);

        return array_map(Choice::from(...), $choices);
    }
}
