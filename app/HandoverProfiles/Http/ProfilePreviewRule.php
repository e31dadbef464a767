<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Profile;

#[
    OA\Schema(
        required: ['structures', 'plants', 'fields', 'format', 'file_name', 'hand_over'],
        properties: [
            new OA\Property(property: 'structures', type: 'array', items: new OA\Items(type: 'string', enum: Profile::STRUCTURES)),
            new OA\Property(property: 'plants', type: 'array', items: new OA\Items(type: 'string'), description: 'none: all'),
            new OA\Property(
                property: 'fields',
                type: 'array',
                items: new OA\Items(type: 'string', enum: Document::FIELDS),
                description: 'none: all',
            ),
            new OA\Property(property: 'format', type: 'string', enum: ['xml', 'json', 'csv']),
            new OA\Property(property: 'file_name', type: 'string'),
            new OA\Property(property: 'hand_over', type: 'string', description: 'the name of a past one'),
        ],
    ),
]
final class ProfilePreviewRule extends FormRequest
{
    use SaysProfile;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...self::profileRules(), 'hand_over' => 'bail|required|string|max:120'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...self::profileMessages(), 'hand_over.*' => 'Choose a past hand-over.'];
    }

    public function asked(): Profile
    {
        return $this->profile();
    }
}
