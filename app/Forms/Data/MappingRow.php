<?php

declare(strict_types=1);

namespace App\Forms\Data;

use App\Assessment\Topic;
use App\Tasks\TaskKind;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Form\Mapping;
use Orthotaxis\Core\Form\QuestionPlan;
use Orthotaxis\Core\Form\RecordField;
use Orthotaxis\Core\Form\TagUse;
use Orthotaxis\Core\Form\TaskPlan;

/** What one tag means, as it is kept and set. */
#[OA\Schema(required: ['tag', 'label', 'use'])]
final readonly class MappingRow
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property(description: 'what it is called when it comes back')] public string $label,
        #[OA\Property(enum: RecordField::class, nullable: true)] public ?string $fill,
        #[OA\Property(enum: TagUse::class)] public string $use,
        #[OA\Property(description: 'that it corrects', enum: RecordField::class, nullable: true)] public ?string $field,
        #[OA\Property(description: 'that is asked; this and what follows for a question', nullable: true)] public ?string $function,
        #[OA\Property(enum: Topic::class, nullable: true)] public ?string $topic,
        #[OA\Property(nullable: true)] public ?string $text,
        #[
            OA\Property(
                description: 'sign-in name of a person, or a role; of a task a person, or group: and the code of a group',
                nullable: true,
            ),
        ]
        public ?string $to,
        #[OA\Property(description: 'until it is due, where the form names no day', nullable: true)] public ?int $days,
        #[OA\Property(nullable: true)] public ?string $text_tag,
        #[OA\Property(nullable: true)] public ?string $due_tag,
        #[OA\Property(nullable: true)] public ?string $item_tag,
        #[OA\Property(description: 'of a task', enum: TaskKind::class, nullable: true)] public ?string $kind = null,
    ) {}

    /** @param  array<string, mixed>  $row */
    public static function read(array $row): self
    {
        $text = static fn(string $name): ?string => is_string($row[$name] ?? null) && trim($row[$name]) !== '' ? trim($row[$name]) : null;

        return new self(
            tag: (string) $text('tag'),
            label: $text('label') ?? (string) $text('tag'),
            fill: $text('fill'),
            use: $text('use') ?? TagUse::Nothing->value,
            field: $text('field'),
            function: $text('function'),
            topic: $text('topic'),
            text: $text('text'),
            to: $text('to'),
            days: is_numeric($row['days'] ?? null) ? (int) $row['days'] : null,
            text_tag: $text('text_tag'),
            due_tag: $text('due_tag'),
            item_tag: $text('item_tag'),
            kind: $text('kind'),
        );
    }

    public function mapping(): Mapping
    {
        $use = TagUse::from($this->use);

        return new Mapping(
            tag: $this->tag,
            label: $this->label,
            fill: RecordField::tryFrom($this->fill ?? ''),
            use: $use,
            field: RecordField::tryFrom($this->field ?? ''),
            question: $use !== TagUse::Question
                ? null
                : new QuestionPlan(
                    function: (string) $this->function,
                    topic: (string) $this->topic,
                    text: (string) $this->text,
                    to: (string) $this->to,
                    days: (int) $this->days,
                    textTag: $this->text_tag,
                    dueTag: $this->due_tag,
                    itemTag: $this->item_tag,
                ),
            task: $use !== TagUse::Task
                ? null
                : new TaskPlan(
                    kind: (string) $this->kind,
                    title: (string) $this->text,
                    to: (string) $this->to,
                    days: (int) $this->days,
                    textTag: $this->text_tag,
                    dueTag: $this->due_tag,
                ),
        );
    }
}
