<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\Tasks\TaskKind;
use App\Vocabulary\Priority;
use Illuminate\Validation\Rule;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Content\Subject;

/** What is said of a task, when it is made and later. */
trait AsksTask
{
    /** @return array<string, mixed> */
    private static function taskRules(): array
    {
        return [
            'kind' => ['required', Rule::enum(TaskKind::class)],
            'title' => 'bail|required|string|max:200',
            'text' => 'present|nullable|string|max:5000',
            'due_on' => 'nullable|bail|string|date_format:Y-m-d',
            'priority' => ['required', Rule::enum(Priority::class)],
            'estimate_hours' => 'nullable|integer|between:1,10000',
            'checks' => 'present|array|max:50',
            'checks.*' => 'bail|required|string|max:200|distinct',
            'waits_for' => 'present|array|max:50',
            'waits_for.*' => 'bail|string|max:20|distinct',
            'before_review' => 'boolean',
            'before_release' => 'boolean',
            'edits' => 'array|max:2000',
            'edits.*.item' => 'bail|required|string|max:40',
            'edits.*.kind' => 'bail|required|string|max:30',
            'edits.*.plant' => 'bail|present|nullable|string|max:20',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'to.required' => 'Choose a person or a group.',
            'kind.*' => 'Choose what kind of work it is.',
            'title.required' => 'Say what is to be done.',
            'title.max' => 'At most 200 characters.',
            'text.max' => 'At most 5,000 characters.',
            'due_on.*' => 'Choose a day.',
            'estimate_hours.*' => 'Give whole hours, from 1 on.',
            'checks.*.max' => 'At most 200 characters.',
            'checks.*.distinct' => 'It is in the list twice.',
            'edits.max' => 'A task edits at most 2,000 subjects.',
            'checks.max' => 'A check list has at most 50 rows.',
        ];
    }

    private function text(string $name): string
    {
        return $this->string($name)->trim()->toString();
    }

    private function due(): ?string
    {
        return $this->filled('due_on') ? (string) Day::parse($this->text('due_on')) : null;
    }

    private function hours(): ?int
    {
        return $this->filled('estimate_hours') ? $this->integer('estimate_hours') : null;
    }

    /** @return list<Subject> none twice */
    private function subjects(): array
    {
        $subjects = [];
        foreach (array_keys((array) $this->validated('edits', [])) as $at) {
            $one = new Subject($this->text("edits.{$at}.kind"), $this->text("edits.{$at}.item"), $this->text("edits.{$at}.plant"));
            $subjects[(string) $one] = $one;
        }

        return array_values($subjects);
    }

    /** @return list<string> */
    private function texts(string $name): array
    {
        return array_values(array_filter((array) $this->validated($name), is_string(...)));
    }
}
