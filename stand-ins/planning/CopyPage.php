<?php

declare(strict_types=1);

/** What the copy has of one subject, as somebody would see and change it here. */
final class CopyPage
{
    private const HEADS = ['' => 'Revision', 'operation' => 'Routing', 'line' => 'Structure', 'field' => 'Data'];

    public function __construct(private readonly Planning $planning) {}

    /** @param  string  $structure  engineering, manufacturing or item_data */
    public function html(string $structure, string $plant, string $item): string
    {
        $rows = $this->planning->db->prepare(
            'SELECT id, revision, part, place, component, first_day, says FROM kept WHERE (structure, plant, item) = (?, ?, ?)
            ORDER BY revision DESC, part, length(place), place, component, first_day',
        );
        $rows->execute([$structure, $plant, $item]);
        $tables = [];
        foreach ($rows->fetchAll() as $row) {
            $tables[$row['revision']][$row['part']][] = $row;
        }
        $body = $tables === [] ? '<p>No hand-over has said anything of it.</p>' : '';
        foreach ($tables as $revision => $parts) {
            $body .= '<h2>Revision ' . self::safe($revision) . '</h2>';
            foreach (array_intersect_key(self::HEADS, $parts) as $part => $head) {
                $body .= self::table($head, $part, $parts[$part]);
            }
        }
        $title = self::safe(str_replace('_', ' ', $structure) . " of {$item}" . ($plant === '' ? '' : " at {$plant}"));

        return Page::frame($title, '<p><a href="/">Planning stand-in</a></p>' . "<h1>{$title}</h1>{$body}");
    }

    /** @param  non-empty-list<array<string, mixed>>  $rows */
    private static function table(string $head, string $part, array $rows): string
    {
        $says = array_map(static fn(array $row): array => json_decode((string) $row['says'], true, flags: JSON_THROW_ON_ERROR), $rows);
        $names = array_keys(array_merge(...$says));
        $first = match ($part) {
            'line' => ['Find', 'Component', 'First day'],
            'operation' => ['Operation'],
            'field' => ['Field'],
            default => [],
        };
        $html = '';
        foreach ($rows as $at => $row) {
            $cells = match ($part) {
                'line' => [$row['place'], $row['component'], $row['first_day']],
                'operation' => [$row['place']],
                'field' => [self::field((string) $row['place'])],
                default => [],
            };
            array_push($cells, ...array_map(static fn(string $name): string => $says[$at][$name] ?? '', $names));
            $html .= '<tr>' . implode('', array_map(static fn(string $cell): string => '<td>' . self::safe($cell) . '</td>', $cells));
            $html .= '<td>' . self::form((int) $row['id'], $says[$at]) . '</td></tr>';
        }
        $heads = implode(
            '',
            array_map(static fn(string $name): string => '<th>' . self::safe($name) . '</th>', [...$first, ...$names, 'Change it here']),
        );

        return "<table><caption>{$head}</caption><tr>{$heads}</tr>{$html}</table>";
    }

    /** @param  array<string, string>  $says */
    private static function form(int $id, array $says): string
    {
        $names = implode('', array_map(static fn(string $name): string => '<option>' . self::safe($name) . '</option>', array_keys($says)));

        return "<form method=\"post\" action=\"/copy/{$id}\"><select name=\"name\" aria-label=\"What\">{$names}</select>
            <input name=\"value\" size=\"8\" aria-label=\"New value\"> <button>Change</button> <button name=\"drop\" value=\"1\">Remove</button></form>";
    }

    /** "minimum lot (Weir)" of what is kept as minimum_lot@Weir. */
    private static function field(string $key): string
    {
        [$field, $of] = explode('@', "{$key}@");

        return str_replace('_', ' ', $field) . ($of === '' ? '' : " ({$of})");
    }

    private static function safe(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES);
    }
}
