<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Structures\Data\CategoryDisposition;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Impact\DispositionCost;
use Orthotaxis\Core\Manufacturing\CategoryWay;
use Orthotaxis\Core\Manufacturing\PutOnRecord;
use Orthotaxis\Core\Manufacturing\TakenOver;
use Orthotaxis\Core\Numbering\NumberRule;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\Sequence;

/** What a category is called and stands under, how its items are numbered and revised, and what they are asked for. */
#[
    OA\Schema(
        required: ['number_prefix', 'number_width', 'number_check'],
        properties: [
            new OA\Property(property: 'version', type: 'integer', description: 'as it was read; of a new one none'),
            new OA\Property(property: 'name', type: 'string', description: 'without it, it stays as it is'),
            new OA\Property(
                property: 'under',
                type: 'string',
                description: 'code of a category; null: it stands under none; without it, it stays where it is',
                nullable: true,
            ),
            new OA\Property(property: 'number_prefix', type: 'string'),
            new OA\Property(property: 'number_width', type: 'integer'),
            new OA\Property(property: 'number_check', type: 'boolean', description: 'whether a check digit follows'),
            new OA\Property(
                property: 'sequence',
                type: 'string',
                enum: Sequence::class,
                nullable: true,
                description: 'null: as the kind of the item says',
            ),
            new OA\Property(
                property: 'dispositions',
                type: 'array',
                description: 'what is usually done with what exists; without it they stay as they are',
                items: new OA\Items(ref: CategoryDisposition::class),
            ),
            new OA\Property(
                property: 'taken_over',
                type: 'string',
                enum: TakenOver::class,
                nullable: true,
                description: 'how plants take over what is in it; null: as the category that it stands under says; without it it stays',
            ),
            new OA\Property(property: 'taken_over_reason', type: 'string', nullable: true, description: 'why it is left out'),
            new OA\Property(
                property: 'attributes',
                type: 'array',
                description: 'without it they stay as they are',
                items: new OA\Items(
                    required: ['label', 'required'],
                    properties: [
                        new OA\Property(property: 'name', type: 'string', description: 'empty for a new one'),
                        new OA\Property(property: 'label', type: 'string'),
                        new OA\Property(property: 'required', type: 'boolean'),
                    ],
                ),
            ),
        ],
    ),
]
final class CategoryRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => [$this->isMethod('POST') ? 'required' : 'sometimes', 'string', 'max:120'],
            'version' => [Rule::requiredIf(!$this->isMethod('POST')), 'integer'],
            'under' => 'sometimes|nullable|string|exists:categories,code',
            'number_prefix' => 'present|nullable|string',
            'number_width' => 'required|integer',
            'number_check' => 'required|boolean',
            'sequence' => ['nullable', Rule::enum(Sequence::class)],
            'dispositions' => 'sometimes|array|max:10',
            'dispositions.*.kind' => ['required', 'distinct', Rule::in(array_column(DispositionCost::kinds(), 'value'))],
            'dispositions.*.disposition' => ['required', Rule::enum(Disposition::class)],
            'dispositions.*.per_unit' => 'nullable|string|max:20',
            'taken_over' => ['sometimes', 'nullable', Rule::enum(TakenOver::class)],
            'taken_over_reason' => 'nullable|string|max:' . PutOnRecord::LONGEST_REASON,
            'attributes' => 'sometimes|array|max:40',
            'attributes.*.name' => 'nullable|string|regex:/^[a-z0-9_]{1,60}$/D',
            'attributes.*.label' => 'required|string|max:60|distinct:ignore_case',
            'attributes.*.required' => 'required|boolean',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Say what it is called, in at most 120 characters.',
            'version.*' => 'Say which version of it you have seen.',
            'under.*' => 'There is no such category.',
            'number_width.*' => 'The counter has 1 to 12 digits.',
            'sequence.*' => 'Choose the sequence of revisions.',
            'taken_over.*' => 'Choose how plants take it over.',
            'attributes.*.label.required' => 'Say what it is called.',
            'attributes.*.label.max' => 'At most 60 characters.',
            'attributes.*.label.distinct' => 'This is asked for twice.',
        ];
    }

    /** Null to leave it as it is. */
    public function name(): ?string
    {
        return $this->has('name') ? $this->string('name')->trim()->toString() : null;
    }

    public function version(): int
    {
        return $this->integer('version');
    }

    public function rule(): NumberRule
    {
        return NumberRule::of(
            $this->string('number_prefix')->trim()->toString(),
            $this->integer('number_width'),
            $this->boolean('number_check'),
        );
    }

    /** @return list<array{kind: string, disposition: string, per_unit: ?int}>|null null to leave them as they are */
    public function dispositions(): ?array
    {
        $rows = $this->validated('dispositions');

        return is_array($rows)
            ? array_map(
                static fn(array $row, int $i): array => [
                    'kind' => (string) $row['kind'],
                    'disposition' => (string) $row['disposition'],
                    'per_unit' =>
                        ($row['per_unit'] ?? '') === ''
                            ? null
                            : Money::parse((string) $row['per_unit'], "dispositions.{$i}.per_unit")->tenThousandths,
                ],
                array_values($rows),
                array_keys(array_values($rows)),
            )
            : null;
    }

    /**
     * @return array{taken_over: ?string, taken_over_reason: string}|null null to leave it as it is
     *
     * @throws Refusal when it is left out and nobody says why
     */
    public function takenOver(): ?array
    {
        if (!$this->has('taken_over')) {
            return null;
        }
        $how = TakenOver::tryFrom($this->string('taken_over')->toString());
        $way = $how === null ? null : CategoryWay::of((string) $this->name(), $how, $this->string('taken_over_reason')->toString());

        return ['taken_over' => $how?->value, 'taken_over_reason' => $way->reason ?? ''];
    }

    /** @return list<array{name: string, label: string, required: bool}>|null null to leave them as they are */
    public function asked(): ?array
    {
        $asked = $this->validated('attributes');
        if (!is_array($asked)) {
            return null;
        }
        $named = [];
        foreach ($asked as $one) {
            $label = trim((string) $one['label']);
            $name = $one['name'] ?? '' ?: (trim((string) preg_replace('/[^a-z0-9]+/', '_', mb_strtolower($label)), '_') ?: 'attribute');
            while (isset($named[$name])) {
                $name .= '_';
            }
            $named[$name] = ['name' => $name, 'label' => $label, 'required' => (bool) $one['required']];
        }

        return array_values($named);
    }
}
