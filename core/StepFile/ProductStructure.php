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

    /**
     * @param  array<string, string>  $names  by number
     * @param  array<string, array<string, array{int, list<string>}>>  $uses  parent => component => occurrences, their designators
     */
    private function __construct(public array $names, public array $uses) {}

    /**
     * @param  iterable<string>  $pieces  of the file, cut anywhere
     *
     * @throws Refusal when it is no such file, is not whole, or its references lead nowhere
     */
    public static function read(iterable $pieces): self
    {
        $types = ['PRODUCT', ...self::FORMATIONS, ...self::DEFINITIONS, ...self::OCCURRENCES, self::MEASURE];
        $products = $formations = $definitions = $occurrences = $measures = [];
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
            foreach ($entity->parts as $type => $values) {
                match (true) {
                    $type === 'PRODUCT' => ($products[$entity->id] = [self::number($entity), $entity->text($type, 1)]),
                    in_array($type, self::FORMATIONS, true) => ($formations[$entity->id] = $entity->text($type, 2)),
                    in_array($type, self::DEFINITIONS, true) => ($definitions[$entity->id] = $entity->text($type, 2)),
                    $type === self::MEASURE => ($measures[$entity->id] = $values),
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

        return self::joined($products, $formations, $definitions, $occurrences, $measures);
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

    /** @return array{id: string, parent: string, component: string, designator: string, quantity: ?string} with references */
    private static function occurrence(Entity $entity, string $type): array
    {
        $quantified = $type === 'QUANTIFIED_ASSEMBLY_COMPONENT_USAGE';

        return $entity->complex
            ? [
                'id' => $entity->id,
                'parent' => $entity->text('PRODUCT_DEFINITION_RELATIONSHIP', 3),
                'component' => $entity->text('PRODUCT_DEFINITION_RELATIONSHIP', 4),
                'designator' => $entity->text('ASSEMBLY_COMPONENT_USAGE', 0),
                'quantity' => $quantified ? $entity->text($type, 0) : null,
            ]
            : [
                'id' => $entity->id,
                'parent' => $entity->text($type, 3),
                'component' => $entity->text($type, 4),
                'designator' => $entity->text($type, 5),
                'quantity' => $quantified ? $entity->text($type, 6) : null,
            ];
    }

    /**
     * @param  array<string, array{string, string}>  $products
     * @param  array<string, string>  $formations
     * @param  array<string, string>  $definitions
     * @param  list<array{id: string, parent: string, component: string, designator: string, quantity: ?string}>  $occurrences
     * @param  array<string, list<string|list<mixed>>>  $measures
     */
    private static function joined(array $products, array $formations, array $definitions, array $occurrences, array $measures): self
    {
        $product = static function (string $definition) use ($products, $formations, $definitions): string {
            $id = $formations[$definitions[$definition] ?? ''] ?? '';

            return isset($products[$id])
                ? $id
                : throw Refusal::at('file', "The file names a product definition {$definition} that it does not have.");
        };
        $uses = $has = $seen = [];
        foreach ($occurrences as $occurrence) {
            $ids = [$product($occurrence['parent']), $product($occurrence['component'])];
            foreach ($ids as $id) {
                $number = $products[$id][0];
                $seen[$number] ??= $id;
                if ($seen[$number] !== $id) {
                    throw Refusal::at(
                        'file',
                        "Two products of the file ({$seen[$number]} and {$id}) have the number “{$number}”. Give each its own and export again.",
                    );
                }
            }
            [$in, $what] = [$products[$ids[0]][0], $products[$ids[1]][0]];
            // Added to in place: a screw that occurs ten thousand times would be copied ten thousand times.
            $uses[$in][$what] ??= [0, []];
            $uses[$in][$what][0] += $occurrence['quantity'] === null ? 1 : self::pieces($occurrence, $measures);
            if ($occurrence['designator'] !== '') {
                $uses[$in][$what][1][] = $occurrence['designator'];
            }
        }
        if ($uses === []) {
            throw Refusal::at('file', 'The file has no assembly: nothing in it is used in anything.');
        }

        return new self(array_column($products, 1, 0), $uses);
    }

    /**
     * @param  array{id: string, parent: string, component: string, designator: string, quantity: ?string}  $occurrence
     * @param  array<string, list<string|list<mixed>>>  $measures
     *
     * @throws Refusal when the quantity is not a whole number of pieces
     */
    private static function pieces(array $occurrence, array $measures): int
    {
        $measure = $measures[(string) $occurrence['quantity']] ?? [];
        $value = is_array($measure[1] ?? null) ? $measure[1][0] ?? '' : '';
        if (
            ($measure[0] ?? '') !== 'COUNT_MEASURE' ||
            !is_string($value) ||
            preg_match('/^([1-9]\d{0,8})(\.0*)?$/D', $value, $read) !== 1
        ) {
            throw Refusal::at(
                'file',
                "The quantity of occurrence {$occurrence['id']} is not a whole number of pieces (COUNT_MEASURE). Import that structure as CSV or XLSX, with its unit.",
            );
        }

        return (int) $read[1];
    }
}
