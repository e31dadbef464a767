<?php

declare(strict_types=1);

/** A page on which people see what the stand-in holds, and make it behave badly. */
final class Page
{
    public static function html(Planning $planning): string
    {
        $safe = static fn(mixed $text): string => htmlspecialchars((string) $text, ENT_QUOTES);
        $mode = $planning->mode();
        $modes = implode(
            ' ',
            array_map(
                static fn(string $name): string => sprintf(
                    '<button name="mode" value="%s"%s>%s</button>',
                    $name,
                    $name === $mode ? ' aria-pressed="true"' : '',
                    $name,
                ),
                Planning::MODES,
            ),
        );
        $rows = '';
        foreach (
            $planning->rows('
            SELECT h.name, h.times_received, count(*) FILTER (WHERE e.answer = \'taken\') AS taken,
                   count(*) FILTER (WHERE e.answer = \'refused\') AS refused, max(e.times_applied) AS applied
            FROM hand_over h LEFT JOIN hand_over_entry e USING (name) GROUP BY h.name, h.times_received ORDER BY max(h.received_at) DESC LIMIT 50')
            as $row
        ) {
            $rows .= sprintf(
                '<tr><td>%s</td><td>%d</td><td>%d</td><td>%d</td><td>%d</td></tr>',
                $safe($row['name']),
                $row['times_received'],
                $row['taken'],
                $row['refused'],
                $row['applied'],
            );
        }
        $missing = $planning->missing();
        $create =
            $missing === []
                ? ''
                : '<p>Items that hand-overs named and that are not known here: ' .
                    $safe(implode(', ', $missing)) .
                    ' <button name="create" value="1">Create them</button></p>';

        $locked = $planning->locked();
        $unlock =
            $locked === []
                ? ''
                : '<p>Items that are locked, so that no hand-over may change them: ' .
                    $safe(implode(', ', $locked)) .
                    ' <button name="unlock" value="1">Unlock them</button></p>';

        $built = '';
        foreach ((new PlantBuilds($planning))->all() as $row) {
            $built .= sprintf(
                '<tr><td><a href="/plants/%s/%s">%s</a></td><td>%s</td><td>%s</td><td>%s</td><td>%d</td><td>%d</td></tr>',
                rawurlencode((string) $row['plant']),
                rawurlencode((string) $row['item']),
                $safe($row['item']),
                $safe($row['plant']),
                $safe($row['revision']),
                $safe($row['effective_from']),
                $row['operations'],
                $row['lines'],
            );
        }

        $data = '';
        foreach ((new ItemData($planning))->all() as $row) {
            $data .= sprintf(
                '<tr><td><a href="/items/%s">%s</a></td><td>%s</td><td>%s</td><td>%d</td></tr>',
                rawurlencode((string) $row['item']),
                $safe($row['item']),
                $safe($row['revision']),
                $safe($row['effective_from']),
                $row['fields'],
            );
        }

        return <<<HTML
        <!doctype html><html lang="en"><meta charset="utf-8"><title>Planning stand-in</title>
        <style>body{font:15px/1.5 sans-serif;margin:2rem;max-width:60rem}table{border-collapse:collapse}td,th{border-bottom:1px solid #bbb;padding:.25rem .8rem;text-align:left}[aria-pressed]{font-weight:bold}</style>
        <h1>Planning stand-in</h1>
        <form method="post" action="/behaviour"><p>Behaves: {$modes}</p>{$create}{$unlock}</form>
        <h2>Hand-overs</h2>
        <table><tr><th>Name</th><th>Received, times</th><th>Entries taken</th><th>Refused</th><th>Applied at most, times</th></tr>{$rows}</table>
        <h2>What plants build</h2>
        <table><tr><th>Item</th><th>Plant</th><th>Revision</th><th>From</th><th>Operations</th><th>Lines</th></tr>{$built}</table>
        <h2>Data of items</h2>
        <table><tr><th>Item</th><th>Revision</th><th>From</th><th>Fields</th></tr>{$data}</table>
        </html>
        HTML;
    }

    /** One document with its lines, as somebody would see it there. */
    public static function document(Planning $planning, string $document): string
    {
        $safe = static fn(mixed $text): string => htmlspecialchars((string) $text, ENT_QUOTES);
        $rows = '';
        foreach ($planning->document($document) as $row) {
            $rows .=
                '<tr>' .
                implode(
                    '',
                    array_map(static fn(?string $cell): string => "<td>{$safe($cell)}</td>", [
                        str_replace('_', ' ', (string) $row['kind']),
                        $row['item'],
                        $row['revision'],
                        "{$row['quantity']} {$row['unit']}",
                        $row['unit_value'],
                        $row['due'],
                        $row['place'],
                        $row['status'],
                        $row['serial'],
                    ]),
                ) .
                '</tr>';
        }
        $rows = $rows === '' ? '<tr><td colspan="9">Planning knows no such document.</td></tr>' : $rows;

        return <<<HTML
        <!doctype html><html lang="en"><meta charset="utf-8"><title>{$safe($document)}, planning stand-in</title>
        <style>body{font:15px/1.5 sans-serif;margin:2rem;max-width:60rem}table{border-collapse:collapse}td,th{border-bottom:1px solid #bbb;padding:.25rem .8rem;text-align:left}</style>
        <p>Planning stand-in</p><h1>{$safe($document)}</h1>
        <table><tr><th>Kind</th><th>Item</th><th>Revision</th><th>Quantity</th><th>Value of one</th><th>Due</th><th>Place</th><th>Status</th><th>Serial number</th></tr>{$rows}</table>
        </html>
        HTML;
    }
}
