<?php

declare(strict_types=1);

namespace App\Notices\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Notice\Cause;
use Orthotaxis\Core\Notice\Pace;

/** How soon somebody wants a mail of what they are told for one reason. */
#[
    OA\Schema(
        required: ['cause', 'pace'],
        properties: [new OA\Property(property: 'cause', enum: Cause::class), new OA\Property(property: 'pace', enum: Pace::class)],
    ),
]
final class PaceChoice extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['cause' => ['required', Rule::enum(Cause::class)], 'pace' => ['required', Rule::enum(Pace::class)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['cause.*' => 'Choose what for.', 'pace.*' => 'Choose when a mail is sent.'];
    }
}
