<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Whether a row of a check list is done. */
#[OA\Schema(required: ['ticked'], properties: [new OA\Property(property: 'ticked', type: 'boolean')])]
final class TaskTick extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['ticked' => 'required|boolean'];
    }
}
