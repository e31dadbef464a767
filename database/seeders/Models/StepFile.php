<?php

declare(strict_types=1);

namespace Database\Seeders\Models;

/**
 * Writes a design model as ISO 10303-21, application protocol 214: products with solids, and assemblies of them. As much of it as the demo
 * needs.
 */
final class StepFile
{
    /** @var list<string> */
    private array $lines = [];

    private int $context;

    private int $definitionContext;

    private int $space;

    /** @var array<string, array{int, int, int}> definition, representation and the place of its origin, by number */
    private array $products = [];

    private function __construct()
    {
        $application = $this->add("APPLICATION_CONTEXT('core data for automotive mechanical design processes')");
        $this->add("APPLICATION_PROTOCOL_DEFINITION('international standard','automotive_design',2000,#{$application})");
        $this->context = $this->add("PRODUCT_CONTEXT('',#{$application},'mechanical')");
        $this->definitionContext = $this->add("PRODUCT_DEFINITION_CONTEXT('part definition',#{$application},'design')");
        $length = $this->add('(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.))');
        $angle = $this->add('(NAMED_UNIT(*)PLANE_ANGLE_UNIT()SI_UNIT($,.RADIAN.))');
        $solid = $this->add('(NAMED_UNIT(*)SI_UNIT($,.STERADIAN.)SOLID_ANGLE_UNIT())');
        $exact = $this->add("UNCERTAINTY_MEASURE_WITH_UNIT(LENGTH_MEASURE(1.E-05),#{$length},'distance_accuracy_value','')");
        $this->space = $this->add(
            "(GEOMETRIC_REPRESENTATION_CONTEXT(3)GLOBAL_UNCERTAINTY_ASSIGNED_CONTEXT((#{$exact}))" .
                "GLOBAL_UNIT_ASSIGNED_CONTEXT((#{$length},#{$angle},#{$solid}))REPRESENTATION_CONTEXT('',''))",
        );
    }

    /**
     * @param  array<string, array{title: string, solids?: list<Prism>, parts?: list<array{string, float, float, float}>}>  $products  by
     *     number, parts before what they are built into; parts: number, x, y, z
     */
    public static function of(string $name, array $products): string
    {
        $file = new self();
        foreach ($products as $number => $product) {
            $file->product((string) $number, $product['title'], $product['solids'] ?? [], $product['parts'] ?? []);
        }
        $data = implode("\n", $file->lines);

        return <<<STEP
        ISO-10303-21;
        HEADER;
        FILE_DESCRIPTION((''),'2;1');
        FILE_NAME('{$name}','2026-01-01T00:00:00',(''),('Quillback Field Instruments'),'','','');
        FILE_SCHEMA(('AUTOMOTIVE_DESIGN { 1 0 10303 214 1 1 1 1 }'));
        ENDSEC;
        DATA;
        {$data}
        ENDSEC;
        END-ISO-10303-21;

        STEP;
    }

    private function add(string $entity): int
    {
        $id = count($this->lines) + 1;
        $this->lines[] = "#{$id}={$entity};";

        return $id;
    }

    /**
     * @param  list<Prism>  $solids
     * @param  list<array{string, float, float, float}>  $parts
     */
    private function product(string $number, string $title, array $solids, array $parts): void
    {
        [$number, $title] = [str_replace("'", "''", $number), str_replace("'", "''", $title)];
        $product = $this->add("PRODUCT('{$number}','{$title}','',(#{$this->context}))");
        $formation = $this->add("PRODUCT_DEFINITION_FORMATION('','',#{$product})");
        $definition = $this->add("PRODUCT_DEFINITION('design','',#{$formation},#{$this->definitionContext})");
        $shape = $this->add("PRODUCT_DEFINITION_SHAPE('','',#{$definition})");
        $origin = $this->place(0, 0, 0);
        $places = array_map(fn(array $part): int => $this->place($part[1], $part[2], $part[3]), $parts);
        $made = array_map(fn(Prism $one): int => (new SolidOf($this->add(...)))($one), $solids);
        $items = implode(',', array_map(static fn(int $id): string => "#{$id}", [$origin, ...$places, ...$made]));
        $kind = $made === [] ? 'SHAPE_REPRESENTATION' : 'ADVANCED_BREP_SHAPE_REPRESENTATION';
        $representation = $this->add("{$kind}('{$number}',({$items}),#{$this->space})");
        $this->add("SHAPE_DEFINITION_REPRESENTATION(#{$shape},#{$representation})");
        $this->products[$number] = [$definition, $representation, $origin];
        foreach ($parts as $at => [$part]) {
            $this->occurrence($number, $part, $at + 1, $places[$at]);
        }
    }

    private function occurrence(string $parent, string $part, int $at, int $place): void
    {
        [$above, $whole] = $this->products[$parent];
        [$definition, $representation, $origin] = $this->products[$part];
        $use = $this->add("NEXT_ASSEMBLY_USAGE_OCCURRENCE('{$parent}-{$at}','{$part}','',#{$above},#{$definition},\$)");
        $shape = $this->add("PRODUCT_DEFINITION_SHAPE('','',#{$use})");
        $moved = $this->add("ITEM_DEFINED_TRANSFORMATION('','',#{$origin},#{$place})");
        $relation = $this->add(
            "(REPRESENTATION_RELATIONSHIP('','',#{$representation},#{$whole})REPRESENTATION_RELATIONSHIP_WITH_TRANSFORMATION(#{$moved})SHAPE_REPRESENTATION_RELATIONSHIP())",
        );
        $this->add("CONTEXT_DEPENDENT_SHAPE_REPRESENTATION(#{$relation},#{$shape})");
    }

    private function place(float $x, float $y, float $z): int
    {
        $point = $this->add(sprintf("CARTESIAN_POINT('',(%s,%s,%s))", ...array_map(self::number(...), [$x, $y, $z])));
        $up = $this->add("DIRECTION('',(0.,0.,1.))");
        $along = $this->add("DIRECTION('',(1.,0.,0.))");

        return $this->add("AXIS2_PLACEMENT_3D('',#{$point},#{$up},#{$along})");
    }

    /** As the format has real numbers: with a point. */
    public static function number(float $number): string
    {
        $text = rtrim(sprintf('%.6F', $number), '0');

        return $text === '-0.' ? '0.' : $text;
    }
}
