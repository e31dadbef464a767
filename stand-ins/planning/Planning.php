<?php

declare(strict_types=1);

/** The simulated planning system's own data. */
final class Planning
{
    public const MODES = ['normal', 'slow', 'down', 'nonsense', 'half taken', 'answers twice', 'answers late'];

    private function __construct(public readonly PDO $db) {}

    public static function open(): self
    {
        $db = new PDO('pgsql:' . getenv('PLANNING_DB'), (string) getenv('PLANNING_DB_USER'), (string) getenv('PLANNING_DB_PASSWORD'), [
            PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
            PDO::ATTR_DEFAULT_FETCH_MODE => PDO::FETCH_ASSOC,
        ]);
        if (
            (new self($db))->rows(
                "SELECT count(*) AS made FROM information_schema.columns WHERE table_name = 'kept_revision' AND column_name = 'sha256'",
            )[0]['made'] === 0
        ) {
            // Several workers may come here first together; one makes the tables, or what is new of them.
            $db->exec('BEGIN; SELECT pg_advisory_xact_lock(1); ' . file_get_contents(__DIR__ . '/schema.sql') . ' COMMIT;');
        }

        return new self($db);
    }

    /** @return list<array<string, mixed>> */
    public function rows(string $sql): array
    {
        $rows = [];
        $answer = $this->db->query($sql);
        while ($answer !== false && is_array($row = $answer->fetch())) {
            $rows[] = $row;
        }

        return $rows;
    }

    public function mode(): string
    {
        return (string) $this->rows('SELECT mode FROM behaviour')[0]['mode'];
    }

    public function behave(string $mode): void
    {
        if (!in_array($mode, self::MODES, true)) {
            throw new InvalidArgumentException("It cannot behave like \"{$mode}\".");
        }
        $this->db->prepare('UPDATE behaviour SET mode = ?')->execute([$mode]);
    }

    /**
     * @param  list<string>  $items
     * @return array{rows: list<array<string, ?string>>, unknown: list<string>} rows of these items; those that are none of its own
     */
    public function supply(array $items): array
    {
        $rows = $this->db->prepare('
            SELECT kind, document, item, revision, trim_scale(quantity)::text AS quantity, unit, unit_value::text AS unit_value,
                   due::text AS due, place, status, serial, start::text AS start, trim_scale(issued)::text AS issued
            FROM supply WHERE item = ANY (ARRAY(SELECT jsonb_array_elements_text(?::jsonb))) ORDER BY item, kind, due NULLS FIRST, document');
        $asked = json_encode(array_values($items), JSON_THROW_ON_ERROR);
        $rows->execute([$asked]);

        return ['rows' => array_values($rows->fetchAll()), 'unknown' => $this->unknown($items)];
    }

    /**
     * @param  list<string>  $items
     * @return list<string> those that are none of its own
     */
    public function unknown(array $items): array
    {
        $unknown = $this->db->prepare(
            'SELECT a.number FROM jsonb_array_elements_text(?::jsonb) AS a(number) WHERE NOT EXISTS (SELECT FROM item i WHERE i.number = a.number)',
        );
        $unknown->execute([json_encode(array_values($items), JSON_THROW_ON_ERROR)]);

        return array_values($unknown->fetchAll(PDO::FETCH_COLUMN));
    }

    /** Whether a hand-over came for the first time just now. */
    public function isFirst(string $name): bool
    {
        $times = $this->db->prepare('SELECT times_received FROM hand_over WHERE name = ?');
        $times->execute([$name]);

        return (int) $times->fetchColumn() === 1;
    }

    /** @return list<string> items whose data nobody may change for the time being: they are being counted, or put in order */
    public function locked(): array
    {
        return array_column($this->rows('SELECT number FROM item WHERE locked ORDER BY number'), 'number');
    }

    public function unlock(): void
    {
        $this->db->exec('UPDATE item SET locked = false');
    }

    /** @return list<array<string, ?string>> the lines of one document */
    public function document(string $document): array
    {
        $rows = $this->db->prepare('
            SELECT kind, item, revision, trim_scale(quantity)::text AS quantity, unit, unit_value::text AS unit_value, due::text AS due, place, status, serial,
                   start::text AS start, trim_scale(issued)::text AS issued
            FROM supply WHERE document = ? ORDER BY kind, item, due NULLS FIRST, id LIMIT 200');
        $rows->execute([$document]);

        return array_values($rows->fetchAll());
    }

    /**
     * What it has already stays as it is.
     *
     * @param  list<array<string, mixed>>  $items
     * @return list<array{number: string, reason: string}> why not; empty where it knows the item now
     */
    public function introduce(array $items): array
    {
        $make = $this->db->prepare('INSERT INTO item (number, revision, unit) VALUES (?, ?, ?) ON CONFLICT (number) DO NOTHING');
        $answers = [];
        foreach ($items as $item) {
            $reason = ($item['revision'] ?? '') === '' ? 'It has no released revision.' : '';
            if ($reason === '') {
                $make->execute([$item['number'], $item['revision'], $item['unit']]);
            }
            $answers[] = ['number' => (string) $item['number'], 'reason' => $reason];
        }

        return $answers;
    }

    /** @return list<string> items that a hand-over named and that this system has never heard of */
    public function missing(): array
    {
        return array_column(
            $this->rows("
            SELECT DISTINCT substring(reason FROM 'Item (\S+) is not known') AS number FROM hand_over_entry
            WHERE answer = 'refused' AND reason LIKE 'Item % is not known%'
            AND substring(reason FROM 'Item (\S+) is not known') NOT IN (SELECT number FROM item)"),
            'number',
        );
    }

    public function createMissing(): void
    {
        $make = $this->db->prepare("INSERT INTO item (number, revision, unit) VALUES (?, 'A', 'pc') ON CONFLICT DO NOTHING");
        foreach ($this->missing() as $number) {
            $make->execute([$number]);
        }
    }
}
