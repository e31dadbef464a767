<?php

declare(strict_types=1);

namespace App\Forms\Http;

use App\Assessment\Topic;
use App\Forms\Data\MappingRow;
use App\People\Models\Group;
use App\People\Models\Person;
use App\People\Models\Role;
use App\Tasks\TaskKind;
use App\Vocabulary\ChoiceList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Form\RecordField;
use Orthotaxis\Core\Form\TagUse;

/** What a template is for, and what its tags mean. */
#[
    OA\Schema(
        required: ['name', 'reasons', 'offered', 'mapping', 'version'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'reasons', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'offered', type: 'boolean'),
            new OA\Property(property: 'mapping', type: 'array', items: new OA\Items(ref: MappingRow::class)),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class TemplateRule extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $people = Person::query()->where('active', true)->pluck('login')->all();
        $question = 'required_if:mapping.*.use,question';
        $given = 'required_if:mapping.*.use,question,task';
        $groups = Group::query()->where('retired', false)->pluck('code')->map(static fn(string $code): string => "group:{$code}")->all();
        $roles = Role::query()->where('retired', false)->pluck('code')->all();

        return [
            'name' => 'required|string|max:120',
            'reasons' => 'present|array|max:20',
            'reasons.*' => ['bail', 'string', 'distinct', ChoiceList::Reason->isKnown()],
            'offered' => 'required|boolean',
            'version' => 'required|integer',
            'mapping' => 'present|array|max:200',
            'mapping.*.tag' => 'required|string|max:60|distinct',
            'mapping.*.label' => 'required|string|max:120',
            'mapping.*.fill' => ['nullable', Rule::enum(RecordField::class)],
            'mapping.*.use' => ['required', Rule::enum(TagUse::class)],
            'mapping.*.field' => ['nullable', Rule::enum(RecordField::class)],
            'mapping.*.function' => ['bail', $question, 'nullable', 'string', ChoiceList::CompanyFunction->isOffered()],
            'mapping.*.topic' => [$question, 'nullable', Rule::enum(Topic::class)],
            'mapping.*.text' => [$given, 'nullable', 'string', 'max:500'],
            'mapping.*.to' => [
                $given,
                'nullable',
                function (string $place, mixed $to, \Closure $fail) use ($people, $roles, $groups): void {
                    // What a tag neither asks nor makes keeps what was chosen before, unseen.
                    $known = match ($this->input(str_replace('.to', '.use', $place))) {
                        'task' => $groups,
                        'question' => $roles,
                        default => [...$groups, ...$roles],
                    };
                    in_array($to, [...$known, ...$people], true) || $fail('Choose who.');
                },
            ],
            'mapping.*.kind' => ['required_if:mapping.*.use,task', 'nullable', Rule::enum(TaskKind::class)],
            'mapping.*.days' => [$given, 'nullable', 'integer', 'between:0,365'],
            'mapping.*.text_tag' => 'nullable|string|max:60',
            'mapping.*.due_tag' => 'nullable|string|max:60',
            'mapping.*.item_tag' => 'nullable|string|max:60',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Name the template.',
            'name.max' => 'At most 120 characters.',
            'mapping.*.label' => 'Say what it is called, in at most 120 characters.',
            'mapping.*.function.*' => 'Choose the function.',
            'mapping.*.topic.*' => 'Choose what it is about.',
            'mapping.*.text.*' => 'Write it in at most 500 characters.',
            'mapping.*.to.*' => 'Choose who.',
            'mapping.*.kind.*' => 'Choose the kind of work.',
            'mapping.*.days.*' => 'Give the days until it is due, from 0 to 365.',
        ];
    }

    /** @return list<MappingRow> */
    public function mapping(): array
    {
        /** @var list<array<string, mixed>> $rows */
        $rows = array_values((array) $this->validated('mapping'));

        return array_map(MappingRow::read(...), $rows);
    }

    /** @return list<string> */
    public function reasons(): array
    {
        return array_map(strval(...), array_values((array) $this->validated('reasons')));
    }
}
