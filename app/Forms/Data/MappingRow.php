<?php

declare(strict_types=1);

namespace App\Forms\Data;

use App\Assessment\Topic;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Assessment\Discipline;
use Orthotaxis\Core\Form\Mapping;
use Orthotaxis\Core\Form\QuestionPlan;
use Orthotaxis\Core\Form\RecordField;
use Orthotaxis\Core\Form\TagUse;

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
        #[
            OA\Property(description: 'that is asked; this and what follows for a question', enum: Discipline::class, nullable: true),
        ]
        public ?string $function,
        #[OA\Property(enum: Topic::class, nullable: true)] public ?string $topic,
        #[OA\Property(nullable: true)] public ?string $text,
        #[OA\Property(description: 'sign-in name of a person, or a role', nullable: true)] public ?string $to,
        #[OA\Property(description: 'until it is due, where the form names no day', nullable: true)] public ?int $days,
        #[OA\Property(nullable: true)] public ?string $text_tag,
        #[OA\Property(nullable: true)] public ?string $due_tag,
        #[OA\Property(nullable: true)] public ?string $item_tag,
    ) {}

    /** @param  array<string, mixed>  $row */
    public static function read(array $row): self
    {
        $text = static fn(string $name): ?string => is_string($row[$name] ?? null) && trim($row[$name]) !== '' ? trim($row[$name]) : null;

        return new self(
            (string) $text('tag'),
            $text('label') ?? (string) $text('tag'),
            $text('fill'),
            $text('use') ?? TagUse::Nothing->value,
            $text('field'),
            $text('function'),
            $text('topic'),
            $text('text'),
            $text('to'),
            is_numeric($row['days'] ?? null) ? (int) $row['days'] : null,
            $text('text_tag'),
            $text('due_tag'),
            $text('item_tag'),
        );
    }

    public function mapping(): Mapping
    {
        $use = TagUse::from($this->use);

        return new Mapping(
            $this->tag,
            $this->label,
            RecordField::tryFrom($this->fill ?? ''),
            $use,
            RecordField::tryFrom($this->field ?? ''),
            $use !== TagUse::Question
                ? null
                : new QuestionPlan(
                    Discipline::from((string) $this->function),
                    (string) $this->topic,
                    (string) $this->text,
                    (string) $this->to,
                    (int) $this->days,
                    $this->text_tag,
                    $this->due_tag,
                    $this->item_tag,
                ),
        );
    }
}
