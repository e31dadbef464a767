<?php

declare(strict_types=1);

/** What is known of each item, as hand-overs have said: the planning system's own copy, by item, revision of its data, and field. */
final class ItemData
{
    public function __construct(private readonly Planning $planning) {}

    /** Of an entry that is about the data of an item: that there is a revision, or one field of it. */
    public function apply(DOMElement $entry, string $effectiveFrom): void
    {
        $said = static fn(string $name): string => $entry->getAttribute($name);
        if ($said('field') === '' || $said('action') === 'remove') {
            return;
        }
        $this->planning->db
            ->prepare(
                'INSERT INTO item_data VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT (item, revision, field, of_what) DO UPDATE
                SET value = excluded.value, effective_from = excluded.effective_from',
            )
            ->execute([$said('item'), $said('revision'), $said('field'), $said('of'), $said('value'), $effectiveFrom]);
    }

    /** @return list<array<string, mixed>> items of which hand-overs have said anything, the newest first */
    public function all(): array
    {
        return $this->planning->rows('SELECT item, revision, effective_from::text AS effective_from, count(*) AS fields FROM item_data
            GROUP BY item, revision, effective_from ORDER BY effective_from DESC, item, revision DESC LIMIT 200');
    }

    /** One item, as somebody would see it there. */
    public function html(string $item): string
    {
        $safe = static fn(mixed $text): string => htmlspecialchars((string) $text, ENT_QUOTES);
        $rows = $this->planning->db->prepare('SELECT revision, effective_from::text AS day, field, of_what, value FROM item_data
            WHERE item = ? ORDER BY effective_from DESC, revision DESC, field, of_what');
        $rows->execute([$item]);
        $tables = [];
        foreach ($rows->fetchAll() as $row) {
            $of = $row['of_what'] === '' ? '' : " ({$row['of_what']})";
            $tables["Revision {$row['revision']} from {$row['day']}"][] = "<tr><td>{$safe(
                str_replace('_', ' ', $row['field']) . $of,
            )}</td><td>{$safe($row['value'])}</td></tr>";
        }
        $body = '';
        foreach ($tables as $caption => $lines) {
            $body .= "<table><caption>{$safe($caption)}</caption><tr><th>Field</th><th>Value</th></tr>" . implode('', $lines) . '</table>';
        }
        $body = $body === '' ? '<p>No hand-over has said anything of its data.</p>' : $body;

        return <<<HTML
        <!doctype html><html lang="en"><meta charset="utf-8"><title>{$safe($item)}, planning stand-in</title>
        <style>body{font:15px/1.5 sans-serif;margin:2rem;max-width:60rem}table{border-collapse:collapse;margin-bottom:1rem}caption{text-align:left;font-weight:bold}td,th{border-bottom:1px solid #bbb;padding:.25rem .8rem;text-align:left}</style>
        <p><a href="/">Planning stand-in</a></p><h1>Data of {$safe($item)}</h1>
        {$body}
        </html>
        HTML;
    }
}
