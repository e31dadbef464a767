<?php

declare(strict_types=1);

namespace App\ChangeNotices\Http;

use App\Structures\Models\Category;
use App\Structures\Models\Item;
use App\Vocabulary\ChoiceList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['name', 'plants', 'products', 'categories', 'recipients', 'acknowledge', 'days', 'retired'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'plants', type: 'array', items: new OA\Items(type: 'string'), description: 'codes; none: any'),
            new OA\Property(property: 'products', type: 'array', items: new OA\Items(type: 'string'), description: 'numbers; none: any'),
            new OA\Property(property: 'categories', type: 'array', items: new OA\Items(type: 'string'), description: 'codes; none: any'),
            new OA\Property(
                property: 'recipients',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'sign-in names, and groups as group: and their code',
            ),
            new OA\Property(property: 'acknowledge', type: 'boolean'),
            new OA\Property(property: 'days', type: 'integer', nullable: true, description: 'office days to acknowledge it in'),
            new OA\Property(property: 'retired', type: 'boolean'),
            new OA\Property(property: 'version', description: 'that was on screen; none: it is new', type: 'integer', nullable: true),
        ],
    ),
]
final class DistributionRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'bail|required|string|max:80',
            'plants' => 'present|array|max:50',
            'plants.*' => ['bail', 'string', 'distinct', Rule::in(ChoiceList::Site->codes())],
            'products' => 'present|array|max:200',
            'products.*' => ['bail', 'string', 'distinct', Rule::exists(Item::class, 'number')->where('sold', true)],
            'categories' => 'present|array|max:200',
            'categories.*' => ['bail', 'string', 'distinct', Rule::exists(Category::class, 'code')],
            'recipients' => 'required|array|min:1|max:500',
            'recipients.*' => 'bail|required|string|max:80|distinct',
            'acknowledge' => 'required|boolean',
            'days' => 'nullable|integer|between:1,400',
            'retired' => 'required|boolean',
            'version' => 'nullable|integer|min:1',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it a name.',
            'name.max' => 'At most 80 characters.',
            'plants.*.*' => 'There is no such plant.',
            'products.*.*' => 'Choose something that is sold, each once.',
            'categories.*.*' => 'There is no such category.',
            'recipients.required' => 'Choose who is told.',
            'recipients.min' => 'Choose who is told.',
            'recipients.*.*' => 'Choose each person or group once.',
            'days.*' => 'Give whole days, from 1 to 400.',
        ];
    }

    /**
     * @return array{name: string, plants: list<string>, products: list<string>, categories: list<string>, recipients: list<string>,
     *     acknowledge: bool, days: ?int, retired: bool}
     */
    public function said(): array
    {
        return [
            'name' => $this->string('name')->trim()->toString(),
            'plants' => $this->texts('plants'),
            'products' => $this->texts('products'),
            'categories' => $this->texts('categories'),
            'recipients' => $this->texts('recipients'),
            'acknowledge' => $this->boolean('acknowledge'),
            // Nobody is late who is not asked.
            'days' => $this->boolean('acknowledge') && $this->filled('days') ? $this->integer('days') : null,
            'retired' => $this->boolean('retired'),
        ];
    }

    /** @return list<string> */
    private function texts(string $name): array
    {
        /** @var list<string> */
        return array_values((array) $this->validated($name));
    }
}
