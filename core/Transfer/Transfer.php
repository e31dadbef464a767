<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Transfer;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Structure\FreeFinds;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/**
 * Carries what was done to one structure over to a sibling (calculation 8 of the design). Nothing is guessed in silence: whatever does
 * not simply fit says why, and is left to a person.
 *
 * The counterpart of a line is the line of the same identity, else the only one with the same component; of several, the one on the same
 * find number. "Gasket 2.8 m becomes silicone gasket 2.8 m": a sibling with 3.2 m of the gasket has the line, but reads otherwise; one
 * with a welded lid has none; one that has the silicone gasket already reads so.
 */
final class Transfer
{
    private readonly Counterparts $here;

    private Structure $sibling;

    private Counterparts $there;

    /** Asked for only where something comes. */
    private ?FreeFinds $finds = null;

    /** @var array<string, string> lines that an edit has been made to, and of which one it was: none of another is */
    private array $met = [];

    /**
     * @param  list<Done>  $done
     * @param  Structure  $home  as it was where the edits were made
     */
    private function __construct(private readonly array $done, Structure $home)
    {
        $this->here = Counterparts::in($home);
    }

    /** What was done, to be carried to one sibling after another. */
    public static function from(Comparison $done): self
    {
        $home = array_map(static fn(Difference $one): ?Line => $one->before, $done->differences);

        return new self(
            array_map(static fn(Difference $one): Done => new Done($one), $done->changes()),
            new Structure(array_filter($home, static fn(?Line $line): bool => $line !== null)),
        );
    }

    /** @return list<Carried> each edit, in the order of the comparison */
    public static function of(Comparison $done, Structure $sibling): array
    {
        return self::from($done)->to($sibling);
    }

    /** @return list<Carried> each edit, in the order of the comparison */
    public function to(Structure $sibling): array
    {
        $this->sibling = $sibling;
        $this->there = Counterparts::in($sibling);
        $this->finds = null;
        $this->met = [];

        return array_map($this->carried(...), $this->done);
    }

    private function carried(Done $done): Carried
    {
        $before = $done->of->before;

        return $before === null ? $this->added($done->of) : $this->toLine($done, $before);
    }

    private function finds(): FreeFinds
    {
        return $this->finds ??= FreeFinds::in($this->sibling);
    }

    private function added(Difference $of): Carried
    {
        $after = $of->after ?? throw new \LogicException('A difference is of a line.');
        $reads = static fn(Line $line): bool => self::differing($line, $after, [LineField::Find, ...Done::OF_PLANT]) === [];
        [$there, $here] = [$this->there->having($after->component, $reads), $this->here->having($after->component, $reads)];
        if (count($there) > count($here)) {
            return new Carried($of, Fit::Already, there: $there[0]);
        }
        $find =
            $this->findOfFollowed($after) ?? ($this->there->at($after->find) === [] ? $after->find : $this->finds()->from($after->find));
        $edit = new AddLine('', [LineField::Find->value => (string) $find] + self::said($after));
        $beside = $this->beside($after, '', '');

        return new Carried($of, $beside === '' ? Fit::Fits : Fit::Differs, $beside, $edit);
    }

    private function toLine(Done $done, Line $before): Carried
    {
        $of = $done->of;
        [$there, $doubt] = $this->counterpart($before);
        if ($there === null) {
            $after = $of->after;
            // Another component stands there by now, and it is the one that was wanted.
            $already = $after !== null && $after->component !== $before->component ? $this->counterpart($after)[0] : null;

            return $already !== null
                ? new Carried($of, Fit::Already, there: $already)
                : ($after === null
                    ? new Carried($of, Fit::Already)
                    : new Carried($of, Fit::None, "It has no {$before->component}."));
        }
        $edit = self::edit($done, $there);
        if ($edit === null) {
            return new Carried($of, Fit::Already, there: $there);
        }
        $this->met[$there->key] = $before->key;
        $otherwise = self::otherwise($done, $there);
        $beside = $of->after === null || $done->keepsComponent ? '' : $this->beside($of->after, $there->key, $before->key);
        if ($doubt . $otherwise . $beside === '') {
            return new Carried($of, Fit::Fits, '', $edit, $there);
        }

        return new Carried($of, Fit::Differs, implode(' ', array_filter([$doubt, $otherwise, $beside])), $edit, $there);
    }

    /** @return array{?Line, string} and why it may be another one */
    private function counterpart(Line $line): array
    {
        $same = $this->sibling->line($line->key);
        if ($same !== null && $same->component === $line->component) {
            return [$same, ''];
        }
        $having = $this->there->having($line->component, fn(Line $one): bool => ($this->met[$one->key] ?? $line->key) === $line->key);
        if (count($having) < 2) {
            return [$having[0] ?? null, ''];
        }
        foreach ($having as $one) {
            if ($one->find === $line->find) {
                return [$one, ''];
            }
        }
        $finds = implode(', ', array_map(static fn(Line $one): string => (string) $one->find, $having));

        return [$having[0], "{$line->component} stands there more than once, find {$finds}: find {$having[0]->find} is meant here."];
    }

    /** Where a line begins on the day after another one ends, both stand on one find number: so they do in the sibling. */
    private function findOfFollowed(Line $after): ?int
    {
        foreach ($this->here->at($after->find) as $line) {
            if ($line->component !== $after->component) {
                $there = $this->counterpart($line)[0];
                if ($there !== null) {
                    return $there->find;
                }
            }
        }

        return null;
    }

    /** The same, of the line of the sibling; null: it reads so already. */
    private static function edit(Done $done, Line $there): ?LineEdit
    {
        $after = $done->of->after;
        if ($after === null) {
            return new RemoveLine($there->key);
        }
        $fields = [];
        foreach ($done->wanted as [$field, $text]) {
            if ($there->text($field) !== $text) {
                $fields[$field->value] = $text;
            }
        }

        return match (true) {
            $fields === [] => null,
            isset($fields[LineField::Component->value]) => new ReplaceComponent($there->key, $fields),
            default => new ChangeLine($there->key, $fields),
        };
    }

    /** What of the line reads otherwise than it did where the edit was made, as far as the edit rests on it. */
    private static function otherwise(Done $done, Line $there): string
    {
        $said = [];
        foreach ($done->resting as [$field, $was]) {
            $is = $there->text($field);
            if ($is !== $was) {
                $said[] = "{$field->inWords()} " . ($is ?: 'none') . ' in place of ' . ($was ?: 'none');
            }
        }

        return $said === [] ? '' : ucfirst(implode(', ', $said)) . '.';
    }

    /** What comes stands there already, on another line, and did not where the edit was made. */
    private function beside(Line $after, string $there, string $here): string
    {
        $other = static fn(string $but): callable => static fn(Line $line): bool => $line->key !== $but &&
            $line->validity->overlaps($after->validity);
        $beside = $this->there->having($after->component, $other($there));

        return count($beside) <= count($this->here->having($after->component, $other($here)))
            ? ''
            : "{$after->component} stands there already: find {$beside[0]->find}, {$beside[0]->quantity} {$beside[0]->unit->value}.";
    }

    /**
     * @param  list<LineField>  $but
     * @return list<LineField>
     */
    private static function differing(Line $one, Line $other, array $but): array
    {
        return array_values(array_filter($one->differsFrom($other), static fn(LineField $field): bool => !in_array($field, $but, true)));
    }

    /** @return array<value-of<LineField>, string> all that a new line says, but for its place and what is the plant's */
    private static function said(Line $line): array
    {
        $fields = array_filter($line->texts(), static fn(string $text): bool => $text !== '');

        return array_diff_key(
            $fields,
            array_flip([LineField::Find->value, ...array_map(static fn(LineField $f): string => $f->value, Done::OF_PLANT)]),
        );
    }
}
