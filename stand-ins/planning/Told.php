<?php

declare(strict_types=1);

/**
 * What this system is told besides hand-overs: events of changes, each signed (Standard Webhooks), and files. What comes twice is known
 * again by its id or name and kept once.
 */
final class Told
{
    /** Seconds that the clocks of the two may differ. */
    private const TOLERANCE = 300;

    public function __construct(private readonly Planning $planning) {}

    /** @return array{int, array<string, string>} status and answer */
    public function event(string $id, string $moment, string $signatures, string $body): array
    {
        $key = (string) base64_decode((string) getenv('PLANNING_TOKEN'));
        $signed = 'v1,' . base64_encode(hash_hmac('sha256', "{$id}.{$moment}.{$body}", $key, true));
        $known = array_filter(explode(' ', $signatures), static fn(string $one): bool => hash_equals($signed, $one));
        if ($known === [] || abs(time() - (int) $moment) > self::TOLERANCE) {
            return [401, ['error' => 'The signature is not that of the agreed secret.']];
        }
        $event = json_decode($body, true);
        if (!is_array($event) || !is_string($event['type'] ?? null)) {
            return [400, ['error' => 'This is no event.']];
        }
        $this->planning->db
            ->prepare(
                'INSERT INTO told_event (id, type, subject, content) VALUES (?, ?, ?, ?) ON CONFLICT (id) DO UPDATE SET times = told_event.times + 1',
            )
            ->execute([$id, $event['type'], (string) ($event['subject'] ?? ''), $body]);

        return [200, ['id' => $id]];
    }

    /** @return array{int, array<string, string>} status and answer */
    public function file(string $name, string $content): array
    {
        if ($name === '') {
            return [400, ['error' => 'A file has a name: Idempotency-Key.']];
        }
        $this->planning->db
            ->prepare('INSERT INTO told_file (name, content) VALUES (?, ?) ON CONFLICT (name) DO UPDATE SET times = told_file.times + 1')
            ->execute([$name, $content]);
        $kept = $this->planning->db->prepare('SELECT content FROM told_file WHERE name = ?');
        $kept->execute([$name]);

        return $kept->fetchColumn() === $content ? [201, ['name' => $name]] : [409, ['error' => "Another {$name} came before."]];
    }

    /** A page on which people see what was told. */
    public function html(): string
    {
        $safe = static fn(mixed $text): string => htmlspecialchars((string) $text, ENT_QUOTES);
        $table = function (string $sql) use ($safe): string {
            $rows = '';
            foreach ($this->planning->rows($sql) as $row) {
                $rows .= '<tr>' . implode('', array_map(static fn(mixed $cell): string => "<td>{$safe($cell)}</td>", $row)) . '</tr>';
            }

            return $rows;
        };
        $events = $table(
            "SELECT id, type, subject, to_char(received_at, 'YYYY-MM-DD HH24:MI:SS'), times FROM told_event ORDER BY received_at DESC LIMIT 200",
        );
        $files = $table(
            "SELECT name, length(content), to_char(received_at, 'YYYY-MM-DD HH24:MI:SS'), times FROM told_file ORDER BY received_at DESC LIMIT 200",
        );

        return Page::frame(
            'Told',
            "<p><a href=\"/\">Planning stand-in</a></p><h1>What it was told</h1>
            <h2>Events</h2><p>The newest 200.</p>
            <table><tr><th>Id</th><th>Event</th><th>About</th><th>Received</th><th>Times</th></tr>{$events}</table>
            <h2>Files</h2><p>The newest 200.</p>
            <table><tr><th>Name</th><th>Bytes</th><th>Received</th><th>Times</th></tr>{$files}</table>",
        );
    }
}
