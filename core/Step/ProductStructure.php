<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Step;

use Orthotaxis\Core\Refusal;

/**
 * The product structure of a design model exchanged as ISO 10303-21 (application protocols 203, 214 and 242): which
 * product is used in which, occurrences counted into quantities. Shapes are passed over.
 */
final readonly class ProductStructure
{
    private const SCHEMAS = ['CONFIG_CONTROL_DESIGN', 'AP203', 'AUTOMOTIVE_DESIGN', 'AP214', 'AP242'];

    /**
     * @param  array<string, string>  $names  by number
     * @param  array<string, array<string, array{int, list<string>}>>  $uses  parent => component => occurrences, their designators
     */
    private function __construct(public array $names, public array $uses) {}

    /**
     * @param  iterable<string>  $pieces  of the file, cut anywhere
     *
     * @throws Refusal when it is no such file, or its references lead nowhere
     */
    public static function read(iterable $pieces): self
    {
        $products = $formations = $definitions = $occurrences = [];
        $known = false;
        $first = true;
        foreach (Statements::of($pieces) as $statement) {
            if ($first && $statement !== 'ISO-10303-21') {
                throw Refusal::at('file', 'This is no ISO 10303-21 file.');
            }
            $first = false;
            if (str_starts_with($statement, 'FILE_SCHEMA')) {
                foreach (self::SCHEMAS as $schema) {
                    $known = $known || str_contains(strtoupper($statement), $schema);
                }
            }
            if (preg_match('/^#(\d+)\s*=\s*(PRODUCT|PRODUCT_DEFINITION_FORMATION\w*|PRODUCT_DEFINITION|PRODUCT_DEFINITION_WITH_ASSOCIATED_DOCUMENTS|NEXT_ASSEMBLY_USAGE_OCCURRENCE)\s*\((.*)\)$/s', $statement, $match) !== 1) {
                continue;
            }
            $id = '#'.$match[1];
            $values = array_map(static fn (string|array $value): string => is_string($value) ? $value : '', Value::arguments($match[3]));
            match (true) {
                $match[2] === 'PRODUCT' => $products[$id] = [self::number($values), $values[1] ?? ''],
                str_starts_with($match[2], 'PRODUCT_DEFINITION_FORMATION') => $formations[$id] = $values[2] ?? '',
                $match[2] === 'NEXT_ASSEMBLY_USAGE_OCCURRENCE' => $occurrences[] = [$values[3] ?? '', $values[4] ?? '', $values[5] ?? ''],
                default => $definitions[$id] = $values[2] ?? '',
            };
        }
        if (! $known) {
            throw Refusal::at('file', 'The file does not say that it is of AP203, AP214 or AP242 (FILE_SCHEMA).');
        }

        return self::joined($products, $formations, $definitions, $occurrences);
    }

    /** @param  list<string>  $values */
    private static function number(array $values): string
    {
        $number = trim($values[0] ?? '');

        return $number === '' || $number === '$' ? trim($values[1] ?? '') : $number;
    }

    /**
     * @param  array<string, array{string, string}>  $products
     * @param  array<string, string>  $formations
     * @param  array<string, string>  $definitions
     * @param  list<array{string, string, string}>  $occurrences
     */
    private static function joined(array $products, array $formations, array $definitions, array $occurrences): self
    {
        $product = static fn (string $definition): array => $products[$formations[$definitions[$definition] ?? ''] ?? '']
            ?? throw Refusal::at('file', "The file names a product definition {$definition} that it does not have.");
        $uses = [];
        foreach ($occurrences as [$parent, $component, $designator]) {
            $in = $product($parent)[0];
            $what = $product($component)[0];
            [$count, $names] = $uses[$in][$what] ?? [0, []];
            $uses[$in][$what] = [$count + 1, $designator === '' || $designator === '$' ? $names : [...$names, $designator]];
        }
        if ($uses === []) {
            throw Refusal::at('file', 'The file has no assembly: nothing in it is used in anything.');
        }

        return new self(array_column($products, 1, 0), $uses);
    }
}
