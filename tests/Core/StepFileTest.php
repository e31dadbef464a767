<?php

declare(strict_types=1);

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\StepFile\ProductStructure;
use Orthotaxis\Core\StepFile\Statements;
use Orthotaxis\Core\StepFile\Value;

/** @param  list<string>  $data */
function model(array $data, string $schema = 'AP242_MANAGED_MODEL_BASED_3D_ENGINEERING_MIM_LF'): string
{
    return "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_SCHEMA(('{$schema}'));\nENDSEC;\nDATA;\n" .
        implode(";\n", $data) .
        ";\nENDSEC;\nEND-ISO-10303-21;\n";
}

const PUMP = [
    "#1=PRODUCT('200-0010','Pump head','',(#90))",
    "#2=PRODUCT('200-0042','Tube clamp','',(#90))",
    "#3=PRODUCT('','Screw M3; short','',(#90))",
    "#11=PRODUCT_DEFINITION_FORMATION('E','',#1)",
    "#12=PRODUCT_DEFINITION_FORMATION_WITH_SPECIFIED_SOURCE('A','',#2,.BOUGHT.)",
    "#13 = PRODUCT_DEFINITION_FORMATION('A','',#3)",
    "#21=PRODUCT_DEFINITION('design','',#11,#91)",
    "#22=PRODUCT_DEFINITION('design','',#12,#91)",
    "#23=PRODUCT_DEFINITION('design','',#13,#91)",
    '#30=CARTESIAN_POINT(\'\',(0.,1.5,-2.E-3))',
    "#31=NEXT_ASSEMBLY_USAGE_OCCURRENCE('1','','',#21,#22,'C1')",
    "#32=NEXT_ASSEMBLY_USAGE_OCCURRENCE('2','','',#21,#22,'C2')",
    "#33=NEXT_ASSEMBLY_USAGE_OCCURRENCE('3','','',#21,#23,\$)",
    "#34=NEXT_ASSEMBLY_USAGE_OCCURRENCE('4','','',#22,#23,\$)",
];

/**
 * @param  list<string>  $pieces
 * @return array<string, array<array-key, array{int, list<string>}>>
 */
function usesIn(array $pieces): array
{
    return iterator_to_array(ProductStructure::read($pieces)->uses());
}

it('counts occurrences into quantities, and names what has no number by its name', function (string $schema): void {
    expect(usesIn([model(PUMP, $schema)]))->toBe([
        '200-0010' => ['200-0042' => [2, ['C1', 'C2']], 'Screw M3; short' => [1, []]],
        '200-0042' => ['Screw M3; short' => [1, []]],
    ]);
})->with([
    'CONFIG_CONTROL_DESIGN',
    'CONFIGURATION_CONTROL_3D_DESIGN_ED2_MIM_LF',
    'AUTOMOTIVE_DESIGN { 1 0 10303 214 3 1 1 }',
    'AP242_MANAGED_MODEL_BASED_3D_ENGINEERING_MIM_LF',
]);

it('tells what a product is called besides its number', function (): void {
    $read = ProductStructure::read([model(PUMP)]);
    expect([$read->name('200-0010'), $read->name('Screw M3; short'), $read->name('200-9999')])->toBe(['Pump head', '', '']);
});

it('reads the same wherever the file is cut', function (): void {
    $text = str_replace('200-0042', "it''s", model([...PUMP, "/* a comment; with 'signs */ #40=PRODUCT('','x','',(#90))"]));
    $whole = usesIn([$text]);
    foreach ([1, 2, 3, 7, 64] as $size) {
        expect(usesIn(str_split($text, $size)))->toBe($whole);
    }
    expect($whole)->toHaveKey("it's");
});

it('cuts statements at semicolons, not inside texts and comments', function (): void {
    expect(iterator_to_array(Statements::of(["A('x;y');/*;*/B(/", '2);'])))->toBe(["A('x;y')", 'B(/2)']);
});

it('decodes letters', function (): void {
    expect(Value::arguments("'\\X2\\00DC\\X0\\ber','a\\X\\E4b','\\S\\d','c:\\\\d',(#1,(#2,\$)),.T.,*"))->toBe([
        'Über',
        'aäb',
        'ä',
        'c:\\d',
        ['#1', ['#2', '$']],
        '.T.',
        '*',
    ]);
});

it('says what is wrong with a file', function (string $text, string $said): void {
    expect(fn() => ProductStructure::read([$text]))->toThrow(Refusal::class, $said);
})->with([
    ["hello;\n", 'no ISO 10303-21'],
    [model(PUMP, 'IFC4'), 'AP203'],
    [model(array_slice(PUMP, 0, 9)), 'no assembly'],
    [model(array_filter(PUMP, fn(string $line): bool => !str_starts_with($line, '#22='))), '#22'],
]);

it('refuses a file that ends early, wherever it was cut', function (): void {
    $text = model(PUMP);
    $whole = strlen(rtrim($text));
    foreach ([$whole - 1, $whole - 18, $whole - 26, intdiv($whole, 2)] as $length) {
        expect(fn() => ProductStructure::read([substr($text, 0, $length)]))->toThrow(Refusal::class, 'cut short');
    }
    expect(fn() => ProductStructure::read([str_replace('ENDSEC;', '', $text)]))->toThrow(Refusal::class, 'cut short');
});

it('reads occurrences written as complex instances', function (): void {
    $complex =
        "#32=(ASSEMBLY_COMPONENT_USAGE('C2')NEXT_ASSEMBLY_USAGE_OCCURRENCE()PRODUCT_DEFINITION_RELATIONSHIP('2','','',#21,#22)PRODUCT_DEFINITION_USAGE())";
    $data = array_map(static fn(string $line): string => str_starts_with($line, '#32=') ? $complex : $line, PUMP);
    expect(usesIn([model($data)]))->toBe(usesIn([model(PUMP)]));
});

it('reads so many at once as so many pieces, and refuses what is no whole number of pieces', function (): void {
    $data = static fn(string $measure): string => model([
        ...PUMP,
        "#35=QUANTIFIED_ASSEMBLY_COMPONENT_USAGE('5','','',#21,#23,\$,#80)",
        $measure,
        '#81=CONTEXT_DEPENDENT_UNIT(*)',
    ]);
    expect(usesIn([$data('#80=MEASURE_WITH_UNIT(COUNT_MEASURE(6.),#81)')])['200-0010']['Screw M3; short'])
        ->toBe([7, []])
        ->and(usesIn([$data('#80=(LENGTH_MEASURE_WITH_UNIT()MEASURE_WITH_UNIT(COUNT_MEASURE(2),#81))')])['200-0010']['Screw M3; short'])
        ->toBe([3, []]);
    foreach (
        ['#80=MEASURE_WITH_UNIT(LENGTH_MEASURE(0.5),#81)', '#80=MEASURE_WITH_UNIT(COUNT_MEASURE(1.5),#81)', "#79=CARTESIAN_POINT('',(0.))"]
        as $measure
    ) {
        expect(fn() => ProductStructure::read([$data($measure)]))->toThrow(Refusal::class, 'quantity of occurrence #35');
    }
});

it('refuses two products of one number', function (): void {
    $data = array_map(static fn(string $line): string => str_replace("'','Screw M3; short'", "'200-0042','Screw M3; short'", $line), PUMP);
    expect(fn() => ProductStructure::read([model($data)]))->toThrow(Refusal::class, '“200-0042”');
});

it('counts a part that occurs ten thousand times, with the name of each', function (): void {
    $data = [
        "#1=PRODUCT('A','','',(#9))",
        '#2=PRODUCT_DEFINITION_FORMATION(\'\',\'\',#1)',
        '#3=PRODUCT_DEFINITION(\'\',\'\',#2,#9)',
        "#4=PRODUCT('B','','',(#9))",
        '#5=PRODUCT_DEFINITION_FORMATION(\'\',\'\',#4)',
        '#6=PRODUCT_DEFINITION(\'\',\'\',#5,#9)',
    ];
    for ($i = 0; $i < 10_000; $i++) {
        $data[] = '#' . (10 + $i) . "=NEXT_ASSEMBLY_USAGE_OCCURRENCE('{$i}','','',#3,#6,'C{$i}')";
    }
    [$count, $names] = usesIn([model($data)])['A']['B'];
    expect($count)->toBe(10_000)->and(count(array_unique($names)))->toBe(10_000);
});
