<?php

declare(strict_types=1);

/** What each plant builds and how, as hand-overs have said: the planning system's own copy, by plant, item and revision. */
final class PlantBuilds
{
    private const OPERATION = ['operationTitle', 'workCentre', 'setUp', 'run', 'runPer', 'supplier', 'cost', 'leadTime'];

    public function __construct(private readonly Planning $planning) {}

    /** Of an entry that is about a plant: what it says of the revision, of an operation, or of a line. */
    public function apply(DOMElement $entry, string $effectiveFrom): void
    {
        $said = static fn(string $name): ?string => $entry->getAttribute($name) === '' ? null : $entry->getAttribute($name);
        if ($said('action') === 'remove') {
            // The new revision never had it; its number may be another's by now.
            return;
        }
        $of = [$said('plant'), $said('item'), $said('revision')];
        if ($said('find') !== null) {
            $line = array_map($said, ['component', 'quantity', 'unit', 'operation', 'scrap']);
            array_push($line, $said('phantom') ?? '', $said('byProduct') ?? '');
            $this->put('plant_line', $of, (int) $said('find'), $line);
        } elseif ($said('operation') !== null) {
            $this->put('plant_operation', $of, (int) $said('operation'), array_map($said, self::OPERATION));
        } else {
            $this->planning->db
                ->prepare(
                    'INSERT INTO plant_revision VALUES (?, ?, ?, ?, ?) ON CONFLICT (plant, item, revision) DO UPDATE
                    SET batch = excluded.batch, effective_from = excluded.effective_from',
                )
                ->execute([...$of, $said('batch'), $effectiveFrom]);
        }
    }

    /**
     * @param  list<?string>  $of  plant, item, revision
     * @param  list<?string>  $fields
     */
    private function put(string $table, array $of, int $place, array $fields): void
    {
        $db = $this->planning->db;
        $db->prepare("DELETE FROM {$table} WHERE plant = ? AND item = ? AND revision = ? AND place = ?")->execute([...$of, $place]);
        $marks = implode(', ', array_fill(0, count($fields) + 4, '?'));
        $db->prepare("INSERT INTO {$table} VALUES ({$marks})")->execute([...$of, $place, ...$fields]);
    }

    /** @return list<array<string, mixed>> what is built where, the newest first */
    public function all(): array
    {
        return $this->planning->rows('SELECT plant, item, revision, effective_from::text AS effective_from,
            (SELECT count(*) FROM plant_line l WHERE (l.plant, l.item, l.revision) = (r.plant, r.item, r.revision)) AS lines,
            (SELECT count(*) FROM plant_operation o WHERE (o.plant, o.item, o.revision) = (r.plant, r.item, r.revision)) AS operations
            FROM plant_revision r ORDER BY effective_from DESC, item, plant, revision LIMIT 200');
    }

    /** One item at a plant with its operations and lines, as somebody would see it there. */
    public function html(string $plant, string $item): string
    {
        $safe = static fn(mixed $text): string => htmlspecialchars((string) $text, ENT_QUOTES);
        $cells = static fn(array $row): string => '<tr>' .
            implode('', array_map(static fn(mixed $cell): string => "<td>{$safe($cell)}</td>", $row)) .
            '</tr>';
        $body = '';
        foreach (
            $this->of(
                'SELECT revision, trim_scale(batch) AS batch, effective_from::text AS day FROM plant_revision WHERE plant = ? AND item = ?
                ORDER BY effective_from DESC, revision DESC',
                [$plant, $item],
            )
            as $one
        ) {
            $of = [$plant, $item, $one['revision']];
            $operations = implode(
                '',
                array_map(
                    $cells,
                    $this->of(
                        'SELECT place, title, work_centre, trim_scale(set_up) AS a, trim_scale(run) AS b, run_per, supplier, cost, lead_time
                FROM plant_operation WHERE plant = ? AND item = ? AND revision = ? ORDER BY place',
                        $of,
                    ),
                ),
            );
            $lines = implode(
                '',
                array_map(
                    $cells,
                    $this->of(
                        'SELECT operation, place, component, trim_scale(quantity) AS q, unit, trim_scale(scrap) AS s, phantom, by_product
                FROM plant_line WHERE plant = ? AND item = ? AND revision = ? ORDER BY operation NULLS LAST, place',
                        $of,
                    ),
                ),
            );
            $body .= "<h2>Revision {$safe($one['revision'])} from {$safe($one['day'])}, batch of {$safe($one['batch'] ?? '1')}</h2>
                <table><caption>Routing</caption><tr><th>Operation</th><th>What is done</th><th>Work centre</th><th>Set-up, min</th><th>Run, min</th><th>a</th><th>Supplier</th><th>Cost</th><th>Days</th></tr>{$operations}</table>
                <table><caption>Structure</caption><tr><th>Operation</th><th>Find</th><th>Component</th><th>Quantity</th><th>Unit</th><th>Scrap %</th><th>Phantom</th><th>By-product</th></tr>{$lines}</table>";
        }
        $body = $body === '' ? '<p>No hand-over has said how it is built there.</p>' : $body;

        return <<<HTML
        <!doctype html><html lang="en"><meta charset="utf-8"><title>{$safe($item)} at {$safe($plant)}, planning stand-in</title>
        <style>body{font:15px/1.5 sans-serif;margin:2rem;max-width:60rem}table{border-collapse:collapse;margin-bottom:1rem}caption{text-align:left;font-weight:bold}td,th{border-bottom:1px solid #bbb;padding:.25rem .8rem;text-align:left}</style>
        <p><a href="/">Planning stand-in</a></p><h1>{$safe($item)} at {$safe($plant)}</h1>
        {$body}
        </html>
        HTML;
    }

    /**
     * @param  list<?string>  $with
     * @return list<array<string, mixed>>
     */
    private function of(string $sql, array $with): array
    {
        $rows = $this->planning->db->prepare($sql);
        $rows->execute($with);

        return array_values($rows->fetchAll());
    }
}
