<?php

declare(strict_types=1);

use Orthotaxis\Core\Manufacturing\BuildReader;
use Orthotaxis\Core\Manufacturing\BuildRows;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Manufacturing\OnRecord;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Routing\OperationReader;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Structure\Structure;
use Tests\Core\Support\Make;

/** The pump head as Weir builds it: two operations, an operation outside, scrap, a line left out and one replaced. */
function builtHead(): ManufacturingContent
{
    $operation = static fn(string $key, array $fields) => (new OperationReader())->read($key, $fields);

    return new ManufacturingContent(
        new Structure(
            array_map(
                static fn($line) => $line->with(['operation' => '10', 'scrap' => '4', 'notes' => 'a "note", with a comma']),
                Make::pumpHead()->lines,
            ),
        ),
        [
            OnRecord::leftOut('e-label', 'Not at this plant.'),
            OnRecord::replaced('e-grease', '710-0009', 'By the cartridge.', Quantity::parse('1'), Unit::Piece, Quantity::parse('400')),
        ],
        new Routing(
            [
                $operation('o-10', [
                    'number' => '10',
                    'title' => 'Fit',
                    'work_centre' => 'PUMP',
                    'set_up' => '15',
                    'run' => '2.5',
                    'tools' => '900-1 900-2',
                ]),
                $operation('o-30', ['number' => '30', 'title' => 'Paint', 'supplier' => 'Lindqvist', 'cost' => '3.40', 'lead_time' => '5']),
            ],
            Quantity::parse('10'),
        ),
    );
}

/** @param  array<int, array<string, string>>  $rows */
function readBuild(array $rows): BuildReader
{
    return new BuildReader($rows, static fn(string $key): string => $key === '' ? 'new' : $key);
}

/** @return array<int, array<string, string>> as they stand in a file, below its head */
function headRows(): array
{
    $rows = BuildRows::of('Weir', '200-0010', builtHead());

    return array_combine(range(2, count($rows) + 1), $rows);
}

it('reads again what it writes, to the same', function (): void {
    $read = readBuild(headRows());
    expect($read->faults())
        ->toBe([])
        ->and($read->content()->told())
        ->toBe(builtHead()->told())
        ->and(count($read->content()->since(builtHead())))
        ->toBe(0);
});

it('says of every cell why it cannot be', function (array $changes, array $faults): void {
    $rows = headRows();
    foreach ($changes as $row => $cells) {
        $rows[$row] = $cells + ($rows[$row] ?? $rows[2]);
    }
    expect(readBuild($rows)->faults())->toBe($faults);
})->with([
    'a row of nothing known' => [
        [2 => ['record' => 'step']],
        [
            2 => ['record' => 'A row is an operation, a line or on_record.'],
            4 => ['operation' => 'There is no operation 10 in the file.'],
            5 => ['operation' => 'There is no operation 10 in the file.'],
            6 => ['operation' => 'There is no operation 10 in the file.'],
            7 => ['operation' => 'There is no operation 10 in the file.'],
        ],
    ],
    'minutes below zero' => [
        [3 => ['supplier' => '', 'cost' => '', 'lead_time' => '', 'work_centre' => 'PUMP', 'run' => '-1']],
        [
            3 => ['run' => 'Write minutes as a number from 0 with a point and at most three decimals, such as 12 or 1.5.'],
        ],
    ],
    'an operation that is none' => [
        [3 => ['operation' => 'last']],
        [
            3 => ['operation' => 'The number of an operation is a whole number from 1 to 9999.'],
        ],
    ],
    'an operation twice' => [[3 => ['operation' => '10']], [3 => ['operation' => 'This stands in row 2 already.']]],
    'another batch' => [[3 => ['batch' => '12']], [3 => ['batch' => 'The batch is 10 in a row above.']]],
    'a batch of nothing' => [[2 => ['batch' => '0'], 3 => ['batch' => '']], [2 => ['batch' => 'A batch has more than nothing in it.']]],
    'a line at an operation that does not exist' => [
        [4 => ['operation' => '40']],
        [4 => ['operation' => 'There is no operation 40 in the file.']],
    ],
    'a find number twice' => [[5 => ['find' => '10']], [5 => ['find' => 'This stands in row 4 already.']]],
    'nothing on record for no line' => [[8 => ['takes_over' => '']], [8 => ['takes_over' => 'Name the engineering line by its key.']]],
    'no reason' => [[8 => ['notes' => '']], [8 => ['notes' => 'Say why, in at most 200 characters.']]],
]);
