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

        $kept = '';
        foreach (
            $planning->rows('SELECT structure, plant, item, count(DISTINCT revision) AS revisions, count(*) AS some, max(id) AS newest FROM kept
                GROUP BY structure, plant, item ORDER BY newest DESC LIMIT 200')
            as $row
        ) {
            $at = match ($row['structure']) {
                'engineering' => '/structures/',
                'manufacturing' => '/plants/' . rawurlencode((string) $row['plant']) . '/',
                default => '/items/',
            };
            $kept .= sprintf(
                '<tr><td><a href="%s%s">%s</a></td><td>%s</td><td>%s</td><td>%d</td><td>%d</td></tr>',
                $at,
                rawurlencode((string) $row['item']),
                $safe($row['item']),
                $safe(str_replace('_', ' ', (string) $row['structure'])),
                $safe($row['plant']),
                $row['revisions'],
                $row['some'],
            );
        }

        return self::frame(
            'Overview',
            "<h1>Planning stand-in</h1>
            <form method=\"post\" action=\"/behaviour\"><p>Behaves: {$modes}</p>{$create}{$unlock}</form>
            <p><a href=\"/told\">Events and files that it was told</a></p>
            <h2>Hand-overs</h2>
            <table><tr><th>Name</th><th>Received, times</th><th>Entries taken</th><th>Refused</th><th>Applied at most, times</th></tr>{$rows}</table>
            <h2>Structures, routings and data of items</h2>
            <p>The newest 200. Any other: /structures/ITEM, /plants/PLANT/ITEM or /items/ITEM.</p>
            <table><tr><th>Item</th><th>What</th><th>Plant</th><th>Revisions</th><th>Rows</th></tr>{$kept}</table>",
        );
    }

    /** A whole page. */
    public static function frame(string $title, string $body): string
    {
        return <<<HTML
        <!doctype html><html lang="en"><meta charset="utf-8"><title>{$title}, planning stand-in</title>
        <style>body{font:15px/1.5 sans-serif;margin:2rem}table{border-collapse:collapse;margin-bottom:1rem}caption{text-align:left;font-weight:bold}td,th{border-bottom:1px solid #bbb;padding:.25rem .8rem;text-align:left}[aria-pressed]{font-weight:bold}form{margin:0}</style>
        {$body}
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

        return self::frame(
            $safe($document),
            "<p>Planning stand-in</p><h1>{$safe($document)}</h1>
            <table><tr><th>Kind</th><th>Item</th><th>Revision</th><th>Quantity</th><th>Value of one</th><th>Due</th><th>Place</th><th>Status</th><th>Serial number</th></tr>{$rows}</table>",
        );
    }
}
