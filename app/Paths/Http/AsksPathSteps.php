<?php

declare(strict_types=1);

namespace App\Paths\Http;

use App\Tasks\TaskKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Approval\Meaning;
use Orthotaxis\Core\Content\Subject;

/** The steps and tasks of an approval path, as somebody sets them up or tries them out. */
abstract class AsksPathSteps extends FormRequest
{
    /** @return array<string, mixed> */
    protected static function ofSteps(): array
    {
        return [
            'steps' => 'required|array|min:1|max:30',
            'steps.*.name' => 'bail|required|string|max:60',
            'steps.*.stage' => 'required|integer|between:1,30',
            'steps.*.who' => 'required|array|min:1|max:50',
            'steps.*.who.*' => 'required|string|max:80',
            'steps.*.needed' => 'required|integer|between:0,50',
            'steps.*.meaning' => ['required', Rule::enum(Meaning::class)],
            'steps.*.with_password' => 'required|boolean',
            'steps.*.due_days' => 'nullable|integer|between:1,400',
            'steps.*.conditions' => 'present|array|max:10',
            'steps.*.conditions.*.fact' => ['required', Rule::enum(Fact::class)],
            'steps.*.conditions.*.values' => 'present|array|max:50',
            'steps.*.conditions.*.values.*' => 'required|string|max:60',
            'steps.*.back_to' => 'present|array|max:30',
            'steps.*.back_to.*' => 'required|integer|between:0,30',
            'steps.*.remind_days' => 'nullable|integer|between:0,400',
            'steps.*.escalate_days' => 'nullable|integer|between:0,400',
            'steps.*.checks' => 'array|max:30',
            'steps.*.checks.*' => 'bail|required|string|max:200',
            'steps.*.escalate_to' => 'array|max:50',
            'steps.*.escalate_to.*' => 'required|string|max:80',
            'tasks' => 'array|max:50',
            'tasks.*.stage' => 'present|nullable|integer|between:0,30',
            'tasks.*.kind' => ['required', Rule::enum(TaskKind::class)],
            'tasks.*.title' => 'bail|required|string|max:200',
            'tasks.*.to' => 'bail|required|string|max:80',
            'tasks.*.holds' => 'required|boolean',
            'tasks.*.due_days' => 'nullable|integer|between:1,400',
            'tasks.*.checks' => 'present|array|max:50',
            'tasks.*.checks.*' => 'bail|required|string|max:200',
            'tasks.*.edits' => 'present|array|max:3',
            'tasks.*.edits.*' => ['required', Rule::in([Subject::ENGINEERING, Subject::MANUFACTURING, Subject::ITEM_DATA])],
        ];
    }

    /** @return array<string, string> */
    protected static function aboutSteps(): array
    {
        return [
            'steps.required' => 'A path has at least one step.',
            'steps.*.name.required' => 'Give the step a name.',
            'steps.*.who.required' => 'Choose who signs.',
            'steps.*.needed.*' => 'Give a whole number, or 0 for all.',
            'tasks.*.title.required' => 'Say what is to be done.',
            'tasks.*.to.required' => 'Choose a person or a group.',
            'tasks.*.due_days.*' => 'Give whole days, from 1 on.',
            'tasks.*.checks.*.max' => 'At most 200 characters.',
            'steps.*.checks.*.max' => 'At most 200 characters.',
            'steps.*.due_days.*' => 'Give whole days, from 1 on.',
            'steps.*.remind_days.*' => 'Give whole days, or 0 for the day itself.',
            'steps.*.escalate_days.*' => 'Give whole days, or 0 for the day after.',
        ];
    }

    /** @return list<array<string, mixed>> */
    public function steps(): array
    {
        /** @var list<array<string, mixed>> $steps */
        $steps = array_values((array) $this->validated('steps'));

        return array_map(
            static fn(array $step): array => [
                ...$step,
                'stage' => (int) $step['stage'],
                'needed' => (int) $step['needed'],
                'with_password' => (bool) $step['with_password'],
                'due_days' => isset($step['due_days']) ? (int) $step['due_days'] : null,
                'back_to' => array_map(intval(...), array_values($step['back_to'])),
                'remind_days' => isset($step['remind_days']) ? (int) $step['remind_days'] : null,
                'escalate_days' => isset($step['escalate_days']) ? (int) $step['escalate_days'] : null,
                'escalate_to' => array_values($step['escalate_to'] ?? []),
                'checks' => array_values(array_unique($step['checks'] ?? [])),
            ],
            $steps,
        );
    }

    /** @return list<array<string, mixed>> */
    public function tasks(): array
    {
        /** @var list<array<string, mixed>> $tasks */
        $tasks = array_values((array) $this->validated('tasks', []));

        return array_map(
            static fn(array $task): array => [
                ...$task,
                'stage' => isset($task['stage']) ? (int) $task['stage'] : null,
                'holds' => (bool) $task['holds'],
                'due_days' => isset($task['due_days']) ? (int) $task['due_days'] : null,
                'checks' => array_values(array_unique($task['checks'])),
                'edits' => array_values(array_unique($task['edits'])),
            ],
            $tasks,
        );
    }
}
