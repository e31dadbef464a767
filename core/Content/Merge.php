<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

use Orthotaxis\Core\Refusal;

/**
 * Brings edits onto a base that has moved on (calculation 6 of the design).
 *
 * I changed the quantity of the screws to 8, another order has released them with 7: a conflict, of which one has their way. I changed a
 * note of the clamp, they its quantity: both are kept. They did to the tube what I did: mine is no longer needed. A line that they took
 * out and that came back under another identity is the same line. A line that they took out and I changed comes back where mine is kept.
 */
final class Merge
{
    /** @var list<Conflict> in the order of my edits */
    public readonly array $conflicts;

    /** @var array<string, list<string>> fields of a part on which both did the same; an empty one: all of it */
    private readonly array $agreed;

    /** As my edits make it; asked for only where both touch the same. */
    private ?Content $after = null;

    /** @param  list<Edit>  $mine  made to the base, in their order */
    private function __construct(private readonly Content $base, private readonly Content $newer, private readonly array $mine)
    {
        $theirs = [];
        $parts = array_map(static fn(Edit $edit): string => $edit->part(), $mine);
        foreach ($base->editsTo($newer, $parts) as $edit) {
            $theirs[$edit->part()][] = $edit;
        }
        $conflicts = $agreed = [];
        foreach ($mine as $edit) {
            foreach ($theirs[$edit->part()] ?? [] as $their) {
                $this->between($edit, $their, $conflicts, $agreed);
            }
        }
        $this->conflicts = array_values($conflicts);
        $this->agreed = $agreed;
    }

    /** @param  list<Edit>  $mine  made to the base, in their order */
    public static function of(Content $base, Content $newer, array $mine): self
    {
        return new self($base, $newer, $mine);
    }

    /**
     * @param  array<string, Choice>  $choices  by Conflict::key
     * @return list<?Edit> my edits, as they are to be made to the newer; null: no longer needed, or given up
     *
     * @throws Refusal at each conflict about which nobody has chosen, or at what cannot be made to the newer at all
     */
    public function resolved(array $choices = []): array
    {
        $reasons = $back = [];
        $dropped = $this->agreed;
        $names = $this->base->renamedIn($this->newer);
        foreach ($this->conflicts as $conflict) {
            $choice = $choices[$conflict->key()] ?? null;
            if ($choice === null) {
                $reasons[$conflict->key()] =
                    ucfirst($conflict->called) .
                    ($conflict->field === '' ? '' : ', ' . str_replace('_', ' ', $conflict->field)) .
                    ': changed in both. Choose whose is kept.';
            } elseif ($choice === Choice::Theirs) {
                $dropped[$conflict->part][] = $conflict->field;
            } elseif ($conflict->field === '' && $this->newer->says($names[$conflict->part] ?? $conflict->part) === []) {
                $back[$conflict->part] = $this->broughtBack($conflict->part);
            }
        }
        if ($reasons !== []) {
            throw Refusal::because($reasons);
        }
        $resolved = array_map(static function (Edit $edit) use ($dropped, $names, &$back): ?Edit {
            if (isset($back[$edit->part()])) {
                return array_shift($back[$edit->part()]);
            }
            $without = $dropped[$edit->part()] ?? [];
            $left = in_array('', $without, true) ? null : ($without === [] ? $edit : $edit->without($without));

            return $left?->of($names[$edit->part()] ?? $edit->part());
        }, $this->mine);
        try {
            $this->newer->edited(array_values(array_filter($resolved)));
        } catch (Refusal $refusal) {
            throw $this->named($refusal, $resolved);
        }

        return $resolved;
    }

    /**
     * What they took out and I changed, as I have it.
     *
     * @return list<Edit>
     */
    private function broughtBack(string $part): array
    {
        $this->after ??= $this->base->edited($this->mine);

        return array_values(
            array_filter($this->newer->editsTo($this->after, [$part]), static fn(Edit $edit): bool => $edit->part() === $part),
        );
    }

    /** @param  list<?Edit>  $resolved */
    private function named(Refusal $refusal, array $resolved): Refusal
    {
        $content = $this->newer;
        foreach ($resolved as $at => $edit) {
            try {
                $content = $edit === null ? $content : $content->edited([$edit]);
            } catch (Refusal $first) {
                $part = $this->mine[$at]->part();

                return Refusal::at($part, ucfirst($this->base->called($part)) . ": {$first->getMessage()} Keep theirs.");
            }
        }

        return $refusal;
    }

    /**
     * @param  array<string, Conflict>  $conflicts
     * @param  array<string, list<string>>  $agreed
     */
    private function between(Edit $mine, Edit $their, array &$conflicts, array &$agreed): void
    {
        $fields = $mine->conflictsWith($their);
        if ($fields === []) {
            return;
        }
        $part = $mine->part();
        $called = $this->base->called($part);
        // Where one of them cannot be cut to a part of its fields, one has to have their way with all of it.
        if ($mine->without(['']) === null || $their->without(['']) === null) {
            if ($mine->name() === $their->name() && array_diff_assoc($mine->fields(), $their->fields()) === []) {
                $agreed[$part][] = '';

                return;
            }
            $conflict = new Conflict(
                part: $part,
                field: '',
                called: $called,
                before: '',
                mine: $mine->inWords(),
                theirs: $their->inWords(),
            );
            $conflicts[$conflict->key()] = $conflict;

            return;
        }
        $was = $this->base->says($part);
        $is = ($this->after ??= $this->base->edited($this->mine))->says($part);
        foreach ($fields as $field) {
            [$here, $there] = [$is[$field] ?? ($mine->fields()[$field] ?? ''), $their->fields()[$field] ?? ''];
            $conflict = new Conflict(part: $part, field: $field, called: $called, before: $was[$field] ?? '', mine: $here, theirs: $there);
            // What I did last counts.
            unset($conflicts[$conflict->key()]);
            $agreed[$part] = array_values(array_diff($agreed[$part] ?? [], [$field]));
            if ($here === $there) {
                $agreed[$part][] = $field;
            } else {
                $conflicts[$conflict->key()] = $conflict;
            }
        }
    }
}
