<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** What a form that came back asks for: everything in it that is not as it was handed out, by the mapping of its template. */
final readonly class ReturnedForm
{
    private const LONGEST_QUESTION = 2000;

    private const LONGEST_TASK = 5000;

    private const LONGEST = ['title' => 200, 'description' => 20_000];

    /**
     * @param  array<string, string>  $handed  what stood in the controls when it was handed out, by tag
     * @param  array<string, string>  $record  what the record says now, by RecordField
     * @param  array<string, list<string>>  $allowed  the values that a field takes, by RecordField; of others anything
     * @param  list<string>  $items  numbers of the items of the record
     */
    public function __construct(
        private array $handed,
        private array $record,
        private array $allowed,
        private array $items,
        private Day $today,
    ) {}

    /**
     * @param  list<Mapping>  $mappings
     * @param  array<string, Control>  $controls  as they came back, by tag
     * @return list<Proposal> in the order of the mapping
     *
     * @throws Refusal when a control of the template is no longer there
     */
    public function proposals(array $mappings, array $controls): array
    {
        $proposals = [];
        foreach ($mappings as $mapping) {
            $control =
                $controls[$mapping->tag] ??
                throw Refusal::at('file', "The form is damaged: the place for \"{$mapping->label}\" is no longer in it.");
            if (self::same($control->value, $this->handed[$mapping->tag] ?? '')) {
                continue;
            }
            $proposal = match ($mapping->use) {
                TagUse::Nothing => null,
                TagUse::Field => $this->field($mapping, $control->value),
                TagUse::Finding => $this->finding($mapping, $control),
                TagUse::Question => $control->value === ''
                    ? null
                    : $this->question(
                        $mapping,
                        $mapping->question ?? throw new \LogicException('A question has a plan.'),
                        $control,
                        $controls,
                    ),
                TagUse::Task => $control->value === ''
                    ? null
                    : $this->task($mapping, $mapping->task ?? throw new \LogicException('A task has a plan.'), $control, $controls),
                TagUse::Attachment => $control->value === ''
                    ? null
                    : new Proposal($mapping->tag, $mapping->label, $mapping->use, '', $control->value),
            };
            if ($proposal !== null) {
                $proposals[] = $proposal;
            }
        }

        return $proposals;
    }

    private function field(Mapping $mapping, string $value): ?Proposal
    {
        $field = $mapping->field->value ?? '';
        $now = $this->record[$field] ?? '';
        if (self::same($value, $now)) {
            return null;
        }
        $longest = self::LONGEST[$field] ?? 200;
        $fault = match (true) {
            trim($value) === '' => 'It may not be empty.',
            mb_strlen($value) > $longest => "At most {$longest} characters.",
            isset($this->allowed[$field]) && !in_array($value, $this->allowed[$field], true)
                => "\"{$value}\" is none of the values that may be chosen.",
            !self::same($now, $this->handed[$mapping->tag] ?? '') => 'The record was changed meanwhile, after the form was handed out.',
            default => null,
        };

        return new Proposal($mapping->tag, $mapping->label, $mapping->use, $now, $value, field: $mapping->field, fault: $fault);
    }

    private function finding(Mapping $mapping, Control $control): ?Proposal
    {
        $said = $control->kind === ControlKind::Choice ? $control->options[$control->value] ?? $control->value : $control->value;

        return $said === '' ? null : new Proposal($mapping->tag, $mapping->label, $mapping->use, '', "{$mapping->label}: {$said}");
    }

    /** @param  array<string, Control>  $controls */
    private function question(Mapping $mapping, QuestionPlan $plan, Control $control, array $controls): Proposal
    {
        $more = self::words($plan->textTag, $control, $controls);
        $item = $plan->itemTag === null ? '' : $controls[$plan->itemTag]->value ?? '';
        [$due, $late] = $this->due($plan->dueTag, $plan->days, $controls);
        $fault = match (true) {
            $this->items === [] => 'The request names no item that it could be about.',
            $item !== '' && !in_array($item, $this->items, true) => "{$item} is not affected.",
            default => $late ?? self::tooLong("{$plan->text}\n{$more}", self::LONGEST_QUESTION),
        };

        return new Proposal(
            $mapping->tag,
            $mapping->label,
            $mapping->use,
            '',
            rtrim($plan->text . ($more === '' ? '' : "\n{$more}")),
            question: $plan,
            item: $item === '' ? $this->items[0] ?? '' : $item,
            due: $due,
            fault: $fault,
        );
    }

    /** @param  array<string, Control>  $controls */
    private function task(Mapping $mapping, TaskPlan $plan, Control $control, array $controls): Proposal
    {
        [$due, $late] = $this->due($plan->dueTag, $plan->days, $controls);
        $more = self::words($plan->textTag, $control, $controls);

        return new Proposal(
            $mapping->tag,
            $mapping->label,
            $mapping->use,
            '',
            rtrim($plan->title . ($more === '' ? '' : "\n{$more}")),
            task: $plan,
            due: $due,
            fault: $late ?? self::tooLong($more, self::LONGEST_TASK),
        );
    }

    /** Nothing that was written is cut in silence. */
    private static function tooLong(string $text, int $most): ?string
    {
        return mb_strlen($text) > $most ? 'At most ' . number_format($most) . ' characters.' : null;
    }

    /**
     * What is written besides: in the control that is named, or in this one.
     *
     * @param  array<string, Control>  $controls
     */
    private static function words(?string $tag, Control $control, array $controls): string
    {
        return match (true) {
            $tag !== null => $controls[$tag]->value ?? '',
            $control->kind === ControlKind::Text => $control->value,
            default => '',
        };
    }

    /**
     * @param  array<string, Control>  $controls
     * @return array{?Day, ?string} by when, and why that cannot be
     */
    private function due(?string $tag, int $days, array $controls): array
    {
        $asked = $tag === null ? '' : $controls[$tag]->value ?? '';
        try {
            $due = $asked === '' ? $this->today->plusDays($days) : Day::parse($asked);

            return [$due, $due->isBefore($this->today) ? "The day {$due} is past." : null];
        } catch (Refusal) {
            return [null, "\"{$asked}\" is no day. Write it as in 2026-12-31."];
        }
    }

    /** Whether two texts say the same; some word processors change the ends of lines and the spaces, or drop them. */
    private static function same(string $one, string $other): bool
    {
        return preg_replace('/\s+/u', '', $one) === preg_replace('/\s+/u', '', $other);
    }
}
