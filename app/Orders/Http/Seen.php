<?php

declare(strict_types=1);

namespace App\Orders\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** The newest edit that was on screen. */
#[OA\Schema(required: ['seen'], properties: [new OA\Property(property: 'seen', type: 'integer')])]
final class Seen extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['seen' => 'required|integer|min:0'];
    }
}
