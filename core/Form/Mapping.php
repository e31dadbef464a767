<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

use Orthotaxis\Core\Refusal;

/** What one tag of a template means: what it is filled with, and what becomes of what comes back. */
final readonly class Mapping
{
    public function __construct(
        public string $tag,
        public string $label,
        public ?RecordField $fill,
        public TagUse $use,
        /** for TagUse::Field */
        public ?RecordField $field = null,
        /** for TagUse::Question */
        public ?QuestionPlan $question = null,
        /** for TagUse::Task */
        public ?TaskPlan $task = null,
    ) {}

    /**
     * @param  list<self>  $mappings
     * @param  array<string, Control>  $controls  of the template, by tag
     *
     * @throws Refusal with every fault at its place, such as mapping.3.field
     */
    public static function check(array $mappings, array $controls): void
    {
        $faults = [];
        $fields = [];
        foreach ($mappings as $i => $mapping) {
            $control = $controls[$mapping->tag] ?? null;
            if ($control === null) {
                $faults["mapping.{$i}.tag"] = "The template has no control tagged {$mapping->tag}.";

                continue;
            }
            if (!in_array($control->kind, $mapping->use->kinds(), true)) {
                $faults["mapping.{$i}.use"] = "A control of the kind {$control->kind->value} cannot be used as {$mapping->use->value}.";
            }
            if ($mapping->fill !== null && in_array($control->kind, [ControlKind::Check, ControlKind::Picture], true)) {
                $faults["mapping.{$i}.fill"] = 'Boxes and pictures are not filled from the record.';
            }
            if ($mapping->use === TagUse::Field && ($mapping->field === null || !$mapping->field->isWritten())) {
                $faults["mapping.{$i}.field"] = 'Choose a field of the request that a form may correct.';
            } elseif ($mapping->use === TagUse::Field && $mapping->fill !== $mapping->field) {
                $faults["mapping.{$i}.fill"] = 'What is corrected in a form has to be filled with the same field.';
            } elseif ($mapping->use === TagUse::Field && isset($fields[$mapping->field->value])) {
                $faults["mapping.{$i}.field"] = "{$mapping->field->value} is taken from another control already.";
            }
            $fields[$mapping->field->value ?? ''] = $mapping->use === TagUse::Field;
            $faults += match ($mapping->use) {
                TagUse::Question => self::faultsOf($mapping->question, $controls, "mapping.{$i}", 'Write the question.'),
                TagUse::Task => self::faultsOf($mapping->task, $controls, "mapping.{$i}", 'Say what is to be done.'),
                default => [],
            };
        }
        if ($faults !== []) {
            throw Refusal::because($faults);
        }
    }

    /**
     * @param  array<string, Control>  $controls
     * @return array<string, string>
     */
    private static function faultsOf(QuestionPlan|TaskPlan|null $plan, array $controls, string $place, string $missing): array
    {
        if ($plan === null) {
            return ["{$place}.text" => $missing];
        }
        $faults =
            $plan instanceof TaskPlan && mb_strlen($plan->title) > TaskPlan::LONGEST
                ? ["{$place}.text" => 'At most 200 characters: it is the title of the task.']
                : [];
        foreach (
            [
                ['text_tag', $plan->textTag, ControlKind::Text],
                ['due_tag', $plan->dueTag, ControlKind::Date],
                ['item_tag', $plan instanceof QuestionPlan ? $plan->itemTag : null, ControlKind::Choice],
            ]
            as [$at, $tag, $kind]
        ) {
            if ($tag !== null && ($controls[$tag]->kind ?? null) !== $kind) {
                $faults["{$place}.{$at}"] = "The template has no control of the kind {$kind->value} tagged {$tag}.";
            }
        }

        return $faults;
    }
}
