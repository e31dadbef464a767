<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;

/** Reads the fields of a line as people type them, and says of each what is wrong with it. */
final class LineReader
{
    private const SAID = ['yes' => true, '1' => true, 'true' => true, 'no' => false, '0' => false, 'false' => false, '' => false];

    /** @var array<string, string> field => reason */
    private array $reasons = [];

    /**
     * @param  array<value-of<LineField>, string>  $fields
     *
     * @throws Refusal naming every field that cannot be so
     */
    public function read(string $key, array $fields, ?Line $was = null): Line
    {
        $this->reasons = [];
        $said = array_map(trim(...), $fields);

        $find = $this->whole(LineField::Find, $said[LineField::Find->value] ?? null, $was?->find, 'find number', 99_999);
        $component = $said[LineField::Component->value] ?? ($was->component ?? '');
        if ($component === '') {
            $this->reasons['component'] = 'Name the component by its item number.';
        }
        $quantity = $this->quantity($said[LineField::Quantity->value] ?? null, $was?->quantity);
        $unit = $this->unit($said[LineField::Unit->value] ?? null, $was?->unit);
        $designators = $this->short(
            LineField::Designators,
            self::tidy($said[LineField::Designators->value] ?? null) ?? $was?->designators,
            Line::LONGEST_DESIGNATORS,
        );
        $notes = $this->short(LineField::Notes, $said[LineField::Notes->value] ?? $was?->notes, Line::LONGEST_NOTE);
        $operation =
            ($said[LineField::Operation->value] ?? null) === ''
                ? null
                : $this->whole(LineField::Operation, $said[LineField::Operation->value] ?? null, $was->operation ?? 0, 'operation', 9_999);
        $validity = $this->validity(
            $said[LineField::FirstDay->value] ?? null,
            $said[LineField::LastDay->value] ?? null,
            $was->validity ?? Validity::always(),
        );
        $scrap = $this->scrap($said[LineField::Scrap->value] ?? null, $was->scrap ?? 0);
        $takesOver = $this->short(LineField::TakesOver, $said[LineField::TakesOver->value] ?? $was?->takesOver, 36);
        $revision = $this->short(LineField::Revision, $said[LineField::Revision->value] ?? $was?->revision, 20);
        $this->checkCount($quantity, $unit, $designators);
        $notModelled = $this->yes($fields, LineField::NotModelled, $was->notModelled ?? false);
        $phantom = $this->yes($fields, LineField::Phantom, $was->phantom ?? false);
        $byProduct = $this->yes($fields, LineField::ByProduct, $was->byProduct ?? false);
        if ($byProduct) {
            $this->checkByProduct($operation, $scrap, $takesOver, $phantom);
        }

        if ($this->reasons !== []) {
            throw Refusal::because($this->reasons);
        }

        return new Line(
            key: $key,
            find: (int) $find,
            component: $component,
            quantity: $quantity ?? Quantity::one(),
            unit: $unit ?? Unit::Piece,
            designators: $designators,
            notes: $notes,
            operation: $operation === 0 ? null : $operation,
            notModelled: $notModelled,
            validity: $validity,
            phantom: $phantom,
            revision: $revision === '' ? null : $revision,
            scrap: $scrap,
            takesOver: $takesOver,
            byProduct: $byProduct,
        );
    }

    private function validity(?string $first, ?string $last, Validity $was): Validity
    {
        if ($first === null && $last === null) {
            return $was;
        }
        $days = ['first_day' => $was->from, 'last_day' => $was->lastDay()];
        foreach (['first_day' => $first, 'last_day' => $last] as $field => $text) {
            try {
                $days[$field] = $text === null ? $days[$field] : ($text === '' ? null : Day::parse($text, $field));
            } catch (Refusal $refusal) {
                $this->reasons[$field] = $refusal->getMessage();

                return $was;
            }
        }
        if ($days['first_day'] !== null && $days['last_day']?->isBefore($days['first_day']) === true) {
            $this->reasons['last_day'] = 'The last day is before the first.';

            return $was;
        }

        return Validity::fromTo($days['first_day'], $days['last_day']);
    }

    /** @param  array<value-of<LineField>, string>  $fields */
    private function yes(array $fields, LineField $field, bool $was): bool
    {
        if (!isset($fields[$field->value])) {
            return $was;
        }
        $said = self::SAID[mb_strtolower(trim($fields[$field->value]))] ?? null;
        if ($said === null) {
            $this->reasons[$field->value] = 'Say yes, or nothing.';
        }

        return $said ?? $was;
    }

    /** "R1 R2,R3" and "R1, R2, R3" are the same designators. */
    private static function tidy(?string $designators): ?string
    {
        return $designators === null
            ? null
            : implode(', ', array_filter(preg_split('/[\s,;]+/', $designators) ?: [], static fn(string $part): bool => $part !== ''));
    }

    private function whole(LineField $field, ?string $text, ?int $was, string $name, int $most): ?int
    {
        if ($text === null && $was !== null) {
            return $was;
        }
        if ($text === null || preg_match('/^\d{1,6}$/D', $text) !== 1 || (int) $text < 1 || (int) $text > $most) {
            $this->reasons[$field->value] = "The {$name} is a whole number from 1 to {$most}.";

            return null;
        }

        return (int) $text;
    }

    /** @return int millionths */
    private function scrap(?string $text, int $was): int
    {
        if ($text === null) {
            return $was;
        }
        $scrap = $text === '' ? 0 : FixedPoint::parse($text, Line::SCRAP_PLACES);
        if ($scrap === null || $scrap < 0 || $scrap >= Quantity::ONE) {
            $this->reasons['scrap'] = 'Scrap is a percentage from 0 to less than 100, with at most four decimals.';
        }

        return $scrap ?? $was;
    }

    private function quantity(?string $text, ?Quantity $was): ?Quantity
    {
        if ($text === null && $was !== null) {
            return $was;
        }
        try {
            $quantity = Quantity::parse($text ?? '');
        } catch (Refusal $refusal) {
            $this->reasons['quantity'] = $refusal->getMessage();

            return null;
        }
        if (!$quantity->isPositive()) {
            $this->reasons['quantity'] = 'The quantity must be more than zero. To drop the component, remove the line.';

            return null;
        }

        return $quantity;
    }

    private function unit(?string $text, ?Unit $was): ?Unit
    {
        if ($text === null && $was !== null) {
            return $was;
        }
        try {
            return Unit::parse($text ?? '');
        } catch (Refusal $refusal) {
            $this->reasons['unit'] = $refusal->getMessage();

            return null;
        }
    }

    private function short(LineField $field, ?string $text, int $longest): string
    {
        // Never more characters than bytes: few have to be counted.
        if ($text !== null && strlen($text) > $longest && mb_strlen($text) > $longest) {
            $this->reasons[$field->value] = "At most {$longest} characters; this is " . mb_strlen($text) . '.';
        }

        return $text ?? '';
    }

    private function checkByProduct(?int $operation, int $scrap, string $takesOver, bool $phantom): void
    {
        if ($operation === null || $operation === 0) {
            $this->reasons['operation'] ??= 'Say at which operation the by-product comes out.';
        }
        if ($scrap !== 0) {
            $this->reasons['scrap'] ??= 'A by-product comes out: nothing of it is lost on the way in.';
        }
        if ($takesOver !== '' || $phantom) {
            $this->reasons['by_product'] = $phantom
                ? 'A phantom goes in; a by-product comes out.'
                : 'It stands for an engineering line, and so goes in.';
        }
    }

    private function checkCount(?Quantity $quantity, ?Unit $unit, string $designators): void
    {
        if ($quantity === null || $unit === null) {
            return;
        }
        if ($unit->countsWhole() && $quantity->millionths % Quantity::ONE !== 0) {
            $this->reasons['quantity'] = "{$quantity} {$unit->value}: things counted in {$unit->value} are used whole.";
        }
        $names = $designators === '' ? [] : explode(', ', $designators);
        if ($names !== [] && $unit === Unit::Piece && count($names) * Quantity::ONE !== $quantity->millionths) {
            $this->reasons['designators'] = sprintf('%d designators for a quantity of %s: name each piece once.', count($names), $quantity);
        } elseif (count(array_unique($names)) !== count($names)) {
            $this->reasons['designators'] = 'A designator stands twice on this line.';
        }
    }
}
