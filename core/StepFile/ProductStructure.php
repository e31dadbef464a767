<?php

declare(strict_types=1);

namespace Orthotaxis\Core\StepFile;

use Orthotaxis\Core\Refusal;

/**
 * The product structure of a design model exchanged as ISO 10303-21 (application protocols 203, 214 and 242): which
 * product is used in which, occurrences counted into quantities. Shapes are passed over.
 */
final readonly class ProductStructure
{
    private const SCHEMAS = ['CONFIG_CONTROL_DESIGN', 'CONFIGURATION_CONTROL_3D_DESIGN', 'AP203', 'AUTOMOTIVE_DESIGN', 'AP214', 'AP242'];

    private const DEFINITIONS = ['PRODUCT_DEFINITION', 'PRODUCT_DEFINITION_WITH_ASSOCIATED_DOCUMENTS'];

    private const FORMATIONS = ['PRODUCT_DEFINITION_FORMATION', 'PRODUCT_DEFINITION_FORMATION_WITH_SPECIFIED_SOURCE'];

    /** One occurrence of a component in an assembly each, or so many of it at once. */
    private const OCCURRENCES = ['NEXT_ASSEMBLY_USAGE_OCCURRENCE', 'QUANTIFIED_ASSEMBLY_COMPONENT_USAGE'];

    private const MEASURE = 'MEASURE_WITH_UNIT';

    /** Between what is held in one text: a file of half a million occurrences, each an array, would take hundreds of megabytes. */
    private const BETWEEN = "\x1F";

    private const NEXT = "\x1E";

    /**
     * @param  array<array-key, array<array-key, string>>  $uses  parent => component => pieces and designator of each occurrence
     * @param  array<array-key, string>  $names  of products, by number; where they have another one besides it
     */
    private function __construct(private array $uses, private array $names) {}

    /** What a product is called; empty where it has nothing but its number. */
    public function name(string $number): string
    {
        return $this->names[$number] ?? '';
    }

    /** @return \Generator<string, array<array-key, array{int, list<string>}>> parent => component => occurrences, their designators */
    public function uses(): \Generator
    {
        foreach ($this->uses as $parent => $components) {
            yield (string) $parent => array_map(self::told(...), $components);
        }
    }

    /** @return array{int, list<string>} */
    private static function told(string $occurrences): array
    {
        $count = 0;
        $designators = [];
        foreach (explode(self::NEXT, rtrim($occurrences, self::NEXT)) as $occurrence) {
            [$pieces, $designator] = explode(self::BETWEEN, $occurrence);
            $count += (int) $pieces;
            if ($designator !== '') {
                $designators[] = $designator;
            }
        }

        return [$count, $designators];
    }

    /**
     * @param  iterable<string>  $pieces  of the file, cut anywhere
     *
     * @throws Refusal when it is no such file, is not whole, or its references lead nowhere
     */
    public static function read(iterable $pieces): self
    {
        $types = ['PRODUCT', ...self::FORMATIONS, ...self::DEFINITIONS, ...self::OCCURRENCES, self::MEASURE];
        $products = $names = $formations = $definitions = $occurrences = $measures = [];
        $known = false;
        $section = '';
        foreach (Statements::of($pieces) as $statement) {
            if ($section === '' && $statement !== 'ISO-10303-21') {
                throw Refusal::at('file', 'This is no ISO 10303-21 file.');
            }
            if ($section === 'END-ISO-10303-21') {
                break;
            }
            if (in_array($statement, ['ISO-10303-21', 'HEADER', 'DATA', 'ENDSEC', 'END-ISO-10303-21'], true)) {
                if ($statement === 'END-ISO-10303-21' && $section !== 'ENDSEC') {
                    throw self::cutShort();
                }
                $section = $statement;

                continue;
            }
            if (str_starts_with($statement, 'FILE_SCHEMA')) {
                foreach (self::SCHEMAS as $schema) {
                    $known = $known || str_contains(strtoupper($statement), $schema);
                }
            }
            $entity = Entity::read($statement, $types);
            if ($entity === null) {
                continue;
            }
            foreach (self::OCCURRENCES as $type) {
                if ($entity->is($type)) {
                    $occurrences[] = self::occurrence($entity, $type);

                    continue 2;
                }
            }
            $id = self::reference($entity->id);
            foreach ($entity->parts as $type => $values) {
                match (true) {
                    $type === 'PRODUCT' => ([$products[$id], $names[$id]] = [self::number($entity), trim($entity->text('PRODUCT', 1))]),
                    in_array($type, self::FORMATIONS, true) => ($formations[$id] = self::reference($entity->text($type, 2))),
                    in_array($type, self::DEFINITIONS, true) => ($definitions[$id] = self::reference($entity->text($type, 2))),
                    $type === self::MEASURE => ($measures[$id] = self::count($values)),
                    default => null,
                };
            }
        }
        if ($section !== 'END-ISO-10303-21') {
            throw $section === '' ? Refusal::at('file', 'This is no ISO 10303-21 file.') : self::cutShort();
        }
        if (!$known) {
            throw Refusal::at('file', 'The file does not say that it is of AP203, AP214 or AP242 (FILE_SCHEMA).');
        }

        foreach ($definitions as $definition => $formation) {
            $definitions[$definition] = $formations[$formation] ?? 0;
        }
        unset($formations);

        return self::joined($products, $names, $definitions, $occurrences, $measures);
    }

    private static function cutShort(): Refusal
    {
        return Refusal::at('file', 'The file is cut short: it does not end with ENDSEC and END-ISO-10303-21. Export it again.');
    }

    private static function number(Entity $product): string
    {
        $number = trim($product->text('PRODUCT', 0));

        return $number === '' ? trim($product->text('PRODUCT', 1)) : $number;
    }

    /** The number of an instance: #12 is 12. 0 for what is no reference. */
    private static function reference(string $text): int
    {
        return (int) ltrim($text, '#');
    }

    /** References of parent, component, quantity (0 for one piece) and of itself, and its designator, in one text. */
    private static function occurrence(Entity $entity, string $type): string
    {
        $quantified = $type === 'QUANTIFIED_ASSEMBLY_COMPONENT_USAGE';
        [$parent, $component, $designator, $quantity] = $entity->complex
            ? [
                $entity->text('PRODUCT_DEFINITION_RELATIONSHIP', 3),
                $entity->text('PRODUCT_DEFINITION_RELATIONSHIP', 4),
                $entity->text('ASSEMBLY_COMPONENT_USAGE', 0),
                $entity->text($type, 0),
            ]
            : [$entity->text($type, 3), $entity->text($type, 4), $entity->text($type, 5), $entity->text($type, 6)];
        $references = [$parent, $component, $quantified ? $quantity : '', $entity->id];

        return implode(self::BETWEEN, [
            ...array_map(self::reference(...), $references),
            str_replace([self::BETWEEN, self::NEXT], ' ', $designator),
        ]);
    }

    /**
     * @param  array<int, string>  $products  their numbers
     * @param  array<int, string>  $names  of products
     * @param  array<int, int>  $definitions  of which product
     * @param  list<string>  $occurrences  see occurrence()
     * @param  array<int, int>  $measures  pieces
     */
    private static function joined(array $products, array $names, array $definitions, array $occurrences, array $measures): self
    {
        $product = static function (int $definition) use ($products, $definitions): int {
            $id = $definitions[$definition] ?? 0;

            return isset($products[$id])
                ? $id
                : throw Refusal::at('file', "The file names a product definition #{$definition} that it does not have.");
        };
        $uses = $seen = [];
        foreach ($occurrences as $occurrence) {
            [$parent, $component, $quantity, $itself, $designator] = explode(self::BETWEEN, $occurrence);
            $ids = [$product((int) $parent), $product((int) $component)];
            foreach ($ids as $id) {
                $number = $products[$id];
                $seen[$number] ??= $id;
                if ($seen[$number] !== $id) {
                    throw Refusal::at(
                        'file',
                        "Two products of the file (#{$seen[$number]} and #{$id}) have the number “{$number}”. Give each its own and export again.",
                    );
                }
            }
            $count = $quantity === '0' ? 1 : $measures[(int) $quantity] ?? 0;
            if ($count === 0) {
                throw Refusal::at(
                    'file',
                    "The quantity of occurrence #{$itself} is not a whole number of pieces (COUNT_MEASURE). Import that structure as CSV or XLSX, with its unit.",
                );
            }
            [$in, $what] = [$products[$ids[0]], $products[$ids[1]]];
            // Only ever added to its end: a screw that occurs ten thousand times would be copied ten thousand times.
            $uses[$in][$what] ??= '';
            $uses[$in][$what] .= $count . self::BETWEEN . $designator . self::NEXT;
        }
        if ($uses === []) {
            throw Refusal::at('file', 'The file has no assembly: nothing in it is used in anything.');
        }

        $called = [];
        foreach ($seen as $number => $id) {
            if (!in_array($names[$id], ['', (string) $number], true)) {
                $called[$number] = $names[$id];
            }
        }

        return new self($uses, $called);
    }

    /**
     * @param  list<string|list<mixed>>  $measure
     * @return int so many pieces; 0 when it is not a whole number of them
     */
    private static function count(array $measure): int
    {
        $value = is_array($measure[1] ?? null) ? $measure[1][0] ?? '' : '';

        return ($measure[0] ?? '') === 'COUNT_MEASURE' && is_string($value) && preg_match('/^([1-9]\d{0,8})(\.0*)?$/D', $value, $read) === 1
            ? (int) $read[1]
            : 0;
    }
}
