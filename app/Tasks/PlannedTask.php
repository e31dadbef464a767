<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Vocabulary\Priority;
use Orthotaxis\Core\Content\Subject;

/** What somebody is to do, before it is a task. */
final readonly class PlannedTask
{
    /**
     * @param  list<string>  $checks
     * @param  list<string>  $waitsFor  numbers of tasks of the same change
     * @param  list<Subject>  $subjects  of the order that it is for, which it edits
     * @param  bool  $beforeReview  whether its order waits for it before review
     * @param  bool  $beforeRelease  whether its order waits for it before release
     * @param  ?array{int, int}  $ofPath  the approval path that it is made for, and which of its tasks it is
     * @param  ?string  $source  what it is made of, so that it is made once; null: by hand
     */
    public function __construct(
        public Assignee $to,
        public TaskKind $kind,
        public string $title,
        public string $text = '',
        public ?string $dueOn = null,
        public Priority $priority = Priority::Normal,
        public ?int $estimateHours = null,
        public array $checks = [],
        public array $waitsFor = [],
        public ?string $source = null,
        public array $subjects = [],
        public bool $beforeReview = false,
        public bool $beforeRelease = false,
        public ?array $ofPath = null,
    ) {}

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            ...$this->to->columns(),
            'kind' => $this->kind,
            'title' => $this->title,
            'text' => $this->text,
            'due_on' => $this->dueOn,
            'priority' => $this->priority,
            'estimate_hours' => $this->estimateHours,
            'source' => $this->source,
            'before_review' => $this->beforeReview,
            'before_release' => $this->beforeRelease,
            'path_id' => $this->ofPath[0] ?? null,
            'path_place' => $this->ofPath[1] ?? null,
        ];
    }
}
