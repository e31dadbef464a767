<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\FreeFinds;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/**
 * Lines of a plant that go into a kit: the kit takes their place, at their operation, and has them as they were. Two clamps and six screws
 * at operation 20 become one kit there, of two clamps and six screws; what they stand for in engineering they go on standing for, so that
 * nothing is open that was not.
 */
final readonly class GatherIntoKit
{
    /** Of a line that only makes sense where it was. */
    private const OF_PLACE = [LineField::Operation];

    /**
     * @param  non-empty-list<LineEdit>  $ofItem
     * @param  non-empty-list<LineEdit>  $ofKit
     */
    private function __construct(public array $ofItem, public array $ofKit) {}

    /**
     * @param  Structure  $built  of the item at the plant
     * @param  Structure  $inKit  what the kit has already
     * @param  list<string>  $lines  keys of lines of the item
     * @param  string  $kit  the number of the kit
     *
     * @throws Refusal when they are at several operations, or the kit is called for otherwise than once
     */
    public static function of(Structure $built, Structure $inKit, array $lines, string $kit): self
    {
        if ($lines === []) {
            throw Refusal::at('lines', 'Choose the lines that go into the kit.');
        }
        $gathered = array_map(
            static fn(string $key): Line => $built->line($key) ?? throw Refusal::at('lines', 'One of the lines is not there any more.'),
            $lines,
        );
        foreach ($gathered as $line) {
            if ($line->byProduct) {
                throw Refusal::at('lines', "{$line->component} comes out of the operation: it goes into no kit.");
            }
        }
        if (count(array_unique(array_map(static fn(Line $line): string => (string) $line->operation, $gathered))) > 1) {
            throw Refusal::at('lines', 'A kit is consumed at one operation: these lines are at several.');
        }
        $there = array_values(array_filter($built->lines, static fn(Line $line): bool => $line->component === $kit));
        if (in_array($kit, array_map(static fn(Line $line): string => $line->component, $gathered), true)) {
            throw Refusal::at('kit', 'A kit does not contain itself.');
        }
        if (
            count($there) > 1 ||
            ($there !== [] && ((string) $there[0]->quantity !== '1' || $there[0]->operation !== $gathered[0]->operation))
        ) {
            throw Refusal::at('kit', "{$kit} is called for already, and not once at this operation.");
        }
        $finds = FreeFinds::in($inKit);
        $ofKit = [];
        foreach ($gathered as $line) {
            $ofKit[] = new AddLine('', ['find' => (string) $finds->from($line->find)] + self::fields($line));
        }
        $ofItem = array_map(static fn(string $key): LineEdit => new RemoveLine($key), $lines);
        if ($there === []) {
            $ofItem[] = new AddLine(
                '',
                array_filter([
                    'find' => (string) $gathered[0]->find,
                    'component' => $kit,
                    'quantity' => '1',
                    'unit' => 'pc',
                    'operation' => (string) $gathered[0]->operation,
                ]),
            );
        }

        return new self($ofItem, $ofKit);
    }

    /** @return array<value-of<LineField>, string> */
    private static function fields(Line $line): array
    {
        $fields = [];
        foreach (LineField::cases() as $field) {
            if (!in_array($field, self::OF_PLACE, true) && $line->text($field) !== '') {
                $fields[$field->value] = $line->text($field);
            }
        }

        return $fields;
    }
}
