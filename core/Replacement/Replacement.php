<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Replacement;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\FreeFinds;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/**
 * One component goes wherever it is used, or where somebody chose, and nothing, one or several come in its place.
 *
 * Without a day the line itself becomes the new one: "2 pc gasket 200-0040" becomes "2 pc 200-0041" on the same find number, or, two for
 * one, "4 pc". With a day the old line holds until the day before, and a new one on the same find number from the day on for as long as
 * the old one would have; a line that only begins then becomes the new one, one that has ended by then stays as it was. Of several that
 * come, the first takes the place; the others get the next free find numbers and no designators, which name pieces of the first.
 * Quantities are counted in the items' own units, exactly, or not at all: of 3 pc at one for two, 1.5 pc cannot be.
 */
final readonly class Replacement
{
    /**
     * @param  Unit  $unit  in which the old item itself is counted
     * @param  list<Incoming>  $new  none: it goes, and nothing comes
     * @param  ?Day  $from  the first day of the new; null: with the revision
     *
     * @throws Refusal when it replaces nothing
     */
    public function __construct(public string $old, public Unit $unit, public array $new, public ?Day $from = null)
    {
        $numbers = array_map(static fn(Incoming $one): string => $one->component, $new);
        foreach ($numbers as $at => $number) {
            if ($number === $old) {
                throw Refusal::at('new', "{$old} would take its own place. Name another component.");
            }
            if (array_search($number, $numbers, true) !== $at) {
                throw Refusal::at('new', "{$number} comes twice. Name it once, with how many of it.");
            }
        }
    }

    /**
     * Whether there is anything to replace in a line: it has the component, and has not ended by then.
     *
     * @param  Day  $effective  the first day of the revision that gets the edits
     */
    public function concerns(Line $line, Day $effective): bool
    {
        $begins = $this->from === null || $this->from->isBefore($effective) ? $effective : $this->from;

        return $line->component === $this->old &&
            !$line->byProduct &&
            ($line->validity->to === null || $begins->isBefore($line->validity->to));
    }

    /**
     * What is done where a line has the old component.
     *
     * @param  FreeFinds  $finds  of the structure that the line stands in
     * @return non-empty-list<LineEdit>
     *
     * @throws Refusal naming the field that cannot be so
     */
    public function at(Line $line, FreeFinds $finds, Heirs $heirs): array
    {
        $starts = $line->validity->from;
        if ($this->from === null || ($starts !== null && !$starts->isBefore($this->from))) {
            return $this->instead($line, $finds, $heirs);
        }
        $edits = [new ChangeLine($line->key, [LineField::LastDay->value => (string) $this->from->plusDays(-1)])];
        foreach ($this->new as $place => $one) {
            $edits[] = $this->added($line, $one, $place, $finds, $heirs, new Validity($this->from, $line->validity->to));
        }

        return $edits;
    }

    /** @return non-empty-list<LineEdit> the line becomes the first that comes */
    private function instead(Line $line, FreeFinds $finds, Heirs $heirs): array
    {
        if ($this->new === []) {
            return [new RemoveLine($line->key)];
        }
        [$quantity, $unit] = $this->amount($line, $this->new[0]);
        $edits = [
            new ReplaceComponent($line->key, [
                LineField::Component->value => $this->new[0]->component,
                LineField::Quantity->value => (string) $quantity,
                LineField::Unit->value => $unit->value,
            ]),
        ];
        foreach (array_slice($this->new, 1, preserve_keys: true) as $place => $one) {
            $edits[] = $this->added($line, $one, $place, $finds, $heirs, $line->validity);
        }

        return $edits;
    }

    private function added(Line $line, Incoming $one, int $place, FreeFinds $finds, Heirs $heirs, Validity $validity): AddLine
    {
        [$quantity, $unit] = $this->amount($line, $one);
        $isFirst = $place === 0;
        $fields = [
            LineField::Find->value => (string) ($isFirst ? $line->find : $finds->from($line->find + 1)),
            LineField::Component->value => $one->component,
            LineField::Quantity->value => (string) $quantity,
            LineField::Unit->value => $unit->value,
            LineField::Designators->value => $isFirst ? $line->designators : '',
            LineField::Notes->value => $isFirst ? $line->notes : '',
            LineField::Scrap->value => $isFirst ? $line->text(LineField::Scrap) : '',
            LineField::Phantom->value => $isFirst ? $line->text(LineField::Phantom) : '',
            LineField::NotModelled->value => $line->text(LineField::NotModelled),
            LineField::Operation->value => $line->text(LineField::Operation),
            LineField::FirstDay->value => (string) $validity->from,
            LineField::LastDay->value => (string) $validity->lastDay(),
            // Where engineering stays as it is, what comes in its place stands for the same line as before.
            LineField::TakesOver->value =>
                $line->takesOver === '' ? '' : $heirs->known($line->takesOver, $place) ?? ($isFirst ? $line->takesOver : ''),
        ];

        return new AddLine($heirs->of($line->key, $place), array_filter($fields, static fn(string $text): bool => $text !== ''));
    }

    /**
     * @return array{Quantity, Unit} in the unit of the line where both items are counted alike, else in that of what comes
     *
     * @throws Refusal when it is not exact
     */
    private function amount(Line $line, Incoming $one): array
    {
        $alike = $this->unit === $one->unit;
        $old = $alike ? $line->quantity : $line->unit->convert($line->quantity, $this->unit);
        if (!FixedPoint::isExact($old->millionths, $one->ratio->millionths, Quantity::ONE)) {
            throw Refusal::at('quantity', "{$old} of {$this->old} at {$one->ratio} {$one->component} for one comes to no exact quantity.");
        }

        return [$old->times($one->ratio), $alike ? $line->unit : $one->unit];
    }
}
