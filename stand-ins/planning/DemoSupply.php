<?php

declare(strict_types=1);

/** Fills the stand-in: an item master, and stock and open documents that follow from each item in a fixed way. */
final class DemoSupply
{
    /**
     * @param  array{today: string, items: list<array{number: string, revision: string, unit: string, cost: string, supply: string, sold: bool, kind: string}>, rows?: list<array<string, ?string>>}  $load
     * @return array{items: int, rows: int}
     */
    public static function load(Planning $planning, array $load): array
    {
        $db = $planning->db;
        $today = new DateTimeImmutable($load['today']);
        $db->beginTransaction();
        $db->exec('TRUNCATE item, supply, structure, hand_over, hand_over_entry');
        $item = $db->prepare('INSERT INTO item VALUES (?, ?, ?)');
        $told = [];
        $rows = $load['rows'] ?? [];
        foreach ($rows as $row) {
            $told[$row['item']] = true;
        }
        foreach ($load['items'] as $known) {
            $item->execute([$known['number'], $known['revision'], $known['unit']]);
            if (! isset($told[$known['number']])) {
                $rows = [...$rows, ...self::rowsOf($known, $today)];
            }
        }
        $supply = $db->prepare('INSERT INTO supply (kind, document, item, revision, quantity, unit, unit_value, due, place, status) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)');
        foreach ($rows as $row) {
            $supply->execute([$row['kind'], $row['document'], $row['item'], $row['revision'], $row['quantity'], $row['unit'], $row['unit_value'], $row['due'], $row['place'], $row['status']]);
        }
        $db->commit();

        return ['items' => count($load['items']), 'rows' => count($rows)];
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
            $quantity = ($seed >> ($i * 4)) % 180;
            if ($quantity > 20) {
                $rows[] = [...$base, 'kind' => 'stock', 'document' => sprintf('LOT-%05d', $seed % 90_000 + $i), 'quantity' => (string) $quantity, 'due' => null, 'place' => $place, 'status' => 'free'];
            }
        }
        $day = static fn (int $days): string => $today->modify("+{$days} days")->format('Y-m-d');
        if ($item['supply'] === 'buy') {
            for ($i = 0; $i < $seed % 3; $i++) {
                $rows[] = [...$base, 'kind' => 'purchase_order', 'document' => sprintf('PO-%05d', $seed % 80_000 + $i), 'quantity' => (string) (50 + $seed % 7 * 25), 'due' => $day(10 + $seed % 20 + $i * 30), 'place' => 'Weir', 'status' => $i === 0 ? 'confirmed' : 'ordered'];
            }
        } else {
            for ($i = 0; $i < 1 + $seed % 2; $i++) {
                $rows[] = [...$base, 'kind' => 'work_order', 'document' => sprintf('WO-%05d', $seed % 80_000 + $i), 'quantity' => (string) (10 + $seed % 5 * 10), 'due' => $day(5 + $seed % 15 + $i * 21), 'place' => $item['sold'] ? 'Tarn' : 'Weir', 'status' => $i === 0 ? 'started' : 'planned'];
            }
        }
        if ($item['sold']) {
            for ($i = 0; $i < 3; $i++) {
                $rows[] = [...$base, 'kind' => 'sales_order', 'document' => sprintf('SO-%05d', $seed % 70_000 + $i), 'quantity' => (string) (2 + ($seed >> $i) % 6), 'due' => $day(14 + $i * 25), 'place' => 'Tarn', 'status' => 'confirmed'];
            }
        }

        return $rows;
    }
}
