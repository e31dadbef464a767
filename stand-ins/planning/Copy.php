<?php

declare(strict_types=1);

/**
 * The planning system's own copy of structures, routings and item data, as hand-overs have said and as people here have changed it. A row
 * is written as docs/formats.md has it: eight columns that are its key, and what it says.
 */
final class Copy
{
    private const PARTS = ['line' => 'find', 'operation' => 'operation', 'field' => 'field'];

    /** What each kind of row keeps of an entry. */
    private const SAYS = [
        '' => ['batch'],
        'line' => ['componentRevision', 'quantity', 'unit', 'designators', 'phantom', 'byProduct', 'lastDay', 'operation', 'scrap'],
        'operation' => ['operationTitle', 'workCentre', 'setUp', 'run', 'runPer', 'supplier', 'cost', 'leadTime'],
        'field' => ['value'],
    ];

    public function __construct(private readonly Planning $planning) {}

    /** Of an entry of a hand-over: that there is a revision, or one row of it, or that there is none any more. */
    public function apply(DOMElement $entry, string $effectiveFrom): void
    {
        $said = static fn(string $name): string => $entry->getAttribute($name);
        $part = (string) (array_key_first(array_filter(self::PARTS, static fn(string $name): bool => $said($name) !== '')) ?? '');
        // Schema 1 is of engineering alone and does not say so.
        $subject = [$said('structure') ?: 'engineering', $said('plant'), $said('item')];
        $place =
            $part === 'field' && $said('of') !== '' ? "{$said('field')}@{$said('of')}" : ($part === '' ? '' : $said(self::PARTS[$part]));
        $row = [
            ...$subject,
            $said('revision'),
            $part,
            $place,
            $part === 'line' ? $said('component') : '',
            $part === 'line' ? $said('firstDay') : '',
        ];
        if ($said('action') === 'remove') {
            $this->remove($row);

            return;
        }
        $says = array_filter(
            array_combine(self::SAYS[$part], array_map($said, self::SAYS[$part])),
            static fn(string $text): bool => $text !== '',
        );
        $this->put($row, $part === '' ? ['effectiveFrom' => $effectiveFrom] + $says : $says);
        $this->hold($subject, $said('revision'), $part === '' ? $effectiveFrom : null);
    }

    /** @param  list<string>  $row  the columns of its key */
    public function remove(array $row): void
    {
        $this->planning->db
            ->prepare(
                'DELETE FROM kept WHERE (structure, plant, item, revision, part, place, component, first_day) = (?, ?, ?, ?, ?, ?, ?, ?)',
            )
            ->execute($row);
        if ($row[4] === '') {
            $this->planning->db
                ->prepare('DELETE FROM kept_revision WHERE (structure, plant, item, revision) = (?, ?, ?, ?)')
                ->execute(array_slice($row, 0, 4));
            $this->follow(array_slice($row, 0, 3));
        }
    }

    /**
     * @param  list<string>  $row  the columns of its key
     * @param  array<string, string>  $says
     */
    public function put(array $row, array $says): void
    {
        $plain = array_map(
            static fn(string $text): string => preg_match('/^\d+\.\d+$/D', $text) === 1 ? rtrim(rtrim($text, '0'), '.') : $text,
            $says,
        );
        $this->planning->db
            ->prepare(
                'INSERT INTO kept (structure, plant, item, revision, part, place, component, first_day, says) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
                ON CONFLICT (structure, plant, item, revision, part, place, component, first_day) DO UPDATE SET says = excluded.says',
            )
            ->execute([...$row, json_encode((object) $plain, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)]);
    }

    /** Somebody changes one thing of one row here, and nobody else knows. */
    public function change(int $id, string $name, string $value): void
    {
        $this->planning->db
            ->prepare('UPDATE kept SET says = jsonb_set(says, ARRAY[?], to_jsonb(?::text)) WHERE id = ? AND jsonb_exists(says, ?)')
            ->execute([$name, $value, $id, $name]);
    }

    public function drop(int $id): void
    {
        $this->planning->db->prepare('DELETE FROM kept WHERE id = ?')->execute([$id]);
    }

    /** All that hand-overs would have said if there had been any, as text; what is there already stays. */
    public function load(string $text): void
    {
        $db = $this->planning->db;
        $db->exec('CREATE TEMPORARY TABLE loaded (structure text, plant text, item text, revision text, part text, place text, component text,
            first_day text, says jsonb) ON COMMIT DROP');
        $db->pgsqlCopyFromArray(
            'loaded',
            array_map(static fn(string $row): string => addcslashes($row, '\\'), explode("\n", $text)),
            "\t",
            '\\\\N',
        );
        $db->exec("INSERT INTO kept (structure, plant, item, revision, part, place, component, first_day, says) SELECT * FROM loaded ON CONFLICT DO NOTHING;
            INSERT INTO kept_revision SELECT structure, plant, item, revision, (says ->> 'effectiveFrom')::date,
                lead((says ->> 'effectiveFrom')::date) OVER (PARTITION BY structure, plant, item ORDER BY says ->> 'effectiveFrom' NULLS FIRST)
            FROM loaded WHERE part = '' ON CONFLICT DO NOTHING");
    }

    /**
     * What holds of these items today or will, as text, in the order of its bytes.
     *
     * @param  list<string>  $items
     * @return array{rows: string, next: ?string} next: the key from which it goes on
     */
    public function rows(string $from, string $today, array $items, int $limit): array
    {
        $rows = $this->planning->db->prepare(
            'SELECT k.key, k.key || k.says::text FROM kept k JOIN kept_revision r USING (structure, plant, item, revision)
            WHERE k.key >= ? AND (r.until IS NULL OR r.until > ?::date)
                AND k.item = ANY (ARRAY(SELECT jsonb_array_elements_text(?::jsonb)))
            ORDER BY k.key LIMIT ' .
                ($limit + 1),
        );
        $rows->execute([$from, $today, json_encode($items, JSON_THROW_ON_ERROR)]);

        $all = $rows->fetchAll(PDO::FETCH_NUM);
        $next = count($all) > $limit ? array_pop($all)[0] : null;

        return ['rows' => implode("\n", array_column($all, 1)), 'next' => $next];
    }

    /**
     * A digest of each revision that holds today or will, in the order of the keys.
     *
     * @return array{digests: string, next: ?string} next: the key from which it goes on
     */
    public function digests(string $from, ?string $before, string $today, int $limit): array
    {
        $between = 'r.key >= ? AND (r.until IS NULL OR r.until > ?::date)' . ($before === null ? '' : ' AND r.key < ?');
        $asked = [$from, $today, ...$before === null ? [] : [$before]];
        $this->planning->db
            ->prepare(
                "UPDATE kept_revision r SET sha256 = (
                    SELECT coalesce(encode(sha256(convert_to(string_agg(key || says::text || E'\\n', '' ORDER BY key), 'UTF8')), 'hex'), '') FROM kept
                    WHERE (structure, plant, item, revision) = (r.structure, r.plant, r.item, r.revision)
                ) WHERE r.sha256 IS NULL AND {$between}",
            )
            ->execute($asked);
        $digests = $this->planning->db->prepare(
            "SELECT r.key, r.sha256 FROM kept_revision r WHERE r.sha256 <> '' AND {$between} ORDER BY r.key LIMIT {$limit} + 1",
        );
        $digests->execute($asked);
        $all = $digests->fetchAll(PDO::FETCH_NUM);
        $next = count($all) > $limit ? array_pop($all)[0] : null;

        return ['digests' => implode("\n", array_map(static fn(array $one): string => $one[0] . $one[1], $all)), 'next' => $next];
    }

    /** @param  list<string>  $subject  structure, plant, item */
    private function hold(array $subject, string $revision, ?string $effectiveFrom): void
    {
        $this->planning->db
            ->prepare(
                'INSERT INTO kept_revision VALUES (?, ?, ?, ?, ?) ON CONFLICT (structure, plant, item, revision) DO UPDATE
                SET effective_from = coalesce(excluded.effective_from, kept_revision.effective_from)',
            )
            ->execute([...$subject, $revision, $effectiveFrom]);
        if ($effectiveFrom !== null) {
            $this->follow($subject);
        }
    }

    /**
     * A revision holds until the next one does.
     *
     * @param  list<string>  $subject
     */
    private function follow(array $subject): void
    {
        $this->planning->db
            ->prepare(
                'UPDATE kept_revision r SET until = n.until FROM (SELECT revision, lead(effective_from) OVER (ORDER BY effective_from NULLS FIRST, revision) AS until
                FROM kept_revision WHERE (structure, plant, item) = (?, ?, ?)) n
                WHERE (r.structure, r.plant, r.item, r.revision) = (?, ?, ?, n.revision)',
            )
            ->execute([...$subject, ...$subject]);
    }
}
