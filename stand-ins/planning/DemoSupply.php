<?php

declare(strict_types=1);

/** Fills the stand-in: an item master, and stock and open documents that follow from each item in a fixed way. */
final class DemoSupply
{
    /**
     * Rows that are told are taken as they are; what no row tells of gets rows of its own, until there are as many as wanted.
     *
     * @param  array{today: string, items: list<array{number: string, revision: string, unit: string, cost: string, supply: string,
     *     sold: bool, kind: string, locked?: bool}>, rows?: list<array<string, ?string>>, copy?: string, more?: bool, most?: int}  $load
     *     copy: rows of the copy as text; more: add to what is there, in place of beginning anew
     * @return array{items: int, rows: int}
     */
    public static function load(Planning $planning, array $load): array
    {
        $db = $planning->db;
        $today = new DateTimeImmutable($load['today']);
        $db->beginTransaction();
        if (!($load['more'] ?? false)) {
            $db->exec('TRUNCATE item, supply, kept, kept_revision, hand_over, hand_over_entry');
        }
        $supply = $db->prepare(
            'INSERT INTO supply (kind, document, item, revision, quantity, unit, unit_value, due, place, status, serial, start, issued) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
        );
        $item = $db->prepare('INSERT INTO item (number, revision, unit, locked) VALUES (?, ?, ?, ?)');
        $most = $load['most'] ?? PHP_INT_MAX;
        $written = 0;
        $write = static function (array $rows) use ($supply, $most, &$written): void {
            foreach (array_slice($rows, 0, $most - $written) as $row) {
                $supply->execute([
                    $row['kind'],
                    $row['document'],
                    $row['item'],
                    $row['revision'],
                    $row['quantity'],
                    $row['unit'],
                    $row['unit_value'],
                    $row['due'],
                    $row['place'],
                    $row['status'],
                    $row['serial'] ?? '',
                    $row['start'] ?? null,
                    $row['issued'] ?? null,
                ]);
                $written++;
            }
        };
        $rows = $load['rows'] ?? [];
        $write($rows);
        $told = array_fill_keys(array_column($rows, 'item'), true);
        foreach ($load['items'] as $known) {
            $item->execute([$known['number'], $known['revision'], $known['unit'], $known['locked'] ?? false ? 't' : 'f']);
            if (!isset($told[$known['number']])) {
                $write(self::rowsOf($known, $today));
            }
        }
        if (($load['copy'] ?? '') !== '') {
            (new Copy($planning))->load($load['copy']);
        }
        $db->commit();

        return ['items' => count($load['items']), 'rows' => $written];
    }

    /**
     * @param  array{number: string, revision: string, unit: string, cost: string, supply: string, sold: bool, kind: string}  $item
     * @return list<array<string, ?string>>
     */
    private static function rowsOf(array $item, DateTimeImmutable $today): array
    {
        // Documents and services are neither stocked nor ordered.
        if (in_array($item['kind'], ['document', 'drawing', 'software', 'service'], true)) {
            return [];
        }
        $seed = crc32($item['number']);
        $base = ['item' => $item['number'], 'revision' => $item['revision'], 'unit' => $item['unit'], 'unit_value' => $item['cost']];
        $rows = [];
        foreach (['Tarn', 'Weir'] as $i => $place) {
            // What is bought lies in boxes, what is made goes straight on.
            $quantity = ($seed >> ($i * 4)) % ($item['supply'] === 'buy' ? 180 : 30);
            if ($quantity > ($item['supply'] === 'buy' ? 20 : 6)) {
                $rows[] = [
                    ...$base,
                    'kind' => 'stock',
                    'document' => sprintf('LOT-%05d', ($seed % 90_000) + $i),
                    'quantity' => (string) $quantity,
                    'due' => null,
                    'place' => $place,
                    'status' => 'free',
                ];
            }
        }
        $day = static fn(int $days): string => $today->modify(sprintf('%+d days', $days))->format('Y-m-d');
        if ($item['supply'] === 'buy') {
            for ($i = 0; $i < $seed % 3; $i++) {
                $rows[] = [
                    ...$base,
                    'kind' => 'purchase_order',
                    'document' => sprintf('PO-%05d', ($seed % 80_000) + $i),
                    'quantity' => (string) (50 + ($seed % 7) * 25),
                    'due' => $day(10 + ($seed % 20) + $i * 30),
                    'place' => 'Weir',
                    'status' => $i === 0 ? 'confirmed' : 'ordered',
                ];
            }
            if ($seed % 3 === 0) {
                $rows[] = [
                    ...$base,
                    'kind' => 'purchase_requisition',
                    'document' => sprintf('PR-%05d', $seed % 50_000),
                    'quantity' => (string) (40 + ($seed % 60)),
                    'due' => $day(50 + ($seed % 30)),
                    'place' => 'Weir',
                    'status' => 'asked for',
                ];
            }
        } else {
            if ($seed % 7 === 0) {
                $rows[] = [
                    ...$base,
                    'kind' => 'subcontract_order',
                    'document' => sprintf('SC-%05d', $seed % 40_000),
                    'quantity' => (string) (10 + ($seed % 20)),
                    'due' => $day(20 + ($seed % 20)),
                    'place' => 'Weir',
                    'status' => 'ordered',
                ];
            }
            for ($i = 0; $i < 1 + ($seed % 2); $i++) {
                $rows[] = [
                    ...$base,
                    'kind' => 'work_order',
                    'document' => sprintf('WO-%05d', ($seed % 80_000) + $i),
                    'quantity' => (string) (10 + ($seed % 5) * 10),
                    'due' => $day(5 + ($seed % 15) + $i * 21),
                    'place' => $item['sold'] ? 'Tarn' : 'Weir',
                    'status' => $i === 0 ? 'started' : 'planned',
                    'start' => $day($i === 0 ? -3 : 12 + $i * 10),
                    // The parts of most of what is started are on the line.
                    'issued' => $i === 0 ? (string) (10 + ($seed % 5) * 10 - ($seed % 3)) : null,
                ];
            }
        }
        if ($item['sold']) {
            $rows[] = [
                ...$base,
                'kind' => 'quote',
                'document' => sprintf('QU-%05d', $seed % 60_000),
                'quantity' => (string) (4 + ($seed % 9)),
                'due' => $day(45),
                'place' => 'Tarn',
                'status' => 'sent',
            ];
            // A weekly forecast for a year, a little more in spring and autumn when rivers are sampled most.
            for ($week = 1; $week <= 52; $week++) {
                $month = (int) $today->modify("+{$week} weeks")->format('n');
                $quantity = 6 + ($seed % 9) + (in_array($month, [3, 4, 5, 9, 10], true) ? 4 : 0);
                $rows[] = [
                    ...$base,
                    'kind' => 'forecast',
                    'document' => $today->modify("+{$week} weeks")->format('\F\C-o-\WW'),
                    'quantity' => (string) $quantity,
                    'due' => $day(7 * $week),
                    'place' => 'Tarn',
                    'status' => 'forecast',
                ];
            }
            // Finished units stand in the store one by one, each with its serial number.
            for ($i = 0; $i < 2 + ($seed % 3); $i++) {
                $rows[] = [
                    ...$base,
                    'kind' => 'stock',
                    'document' => sprintf('FG-%05d', $seed % 30_000),
                    'quantity' => '1',
                    'due' => null,
                    'place' => 'Tarn',
                    'status' => 'finished',
                    'serial' => sprintf('H%s-%05d', substr($item['number'], -2), 2_400 + ($seed % 90) + $i),
                ];
            }
            for ($i = 0; $i < 3; $i++) {
                $rows[] = [
                    ...$base,
                    'kind' => 'sales_order',
                    'document' => sprintf('SO-%05d', ($seed % 70_000) + $i),
                    'quantity' => (string) (2 + (($seed >> $i) % 6)),
                    'due' => $day(14 + $i * 25),
                    'place' => 'Tarn',
                    'status' => 'confirmed',
                ];
            }
        }

        return $rows;
    }
}
