<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/* A database in which lines hung on the revision of their parent, and edits on an item of an order, as what it has become. */

/** @return string what it says */
function inOldShape(string $sql): string
{
    $process = new Process(['psql', '-X', '-q', '-At', '-v', 'ON_ERROR_STOP=1', '-d', 'old_shape', '-c', $sql], base_path(), [
        'PGOPTIONS' => '-c session_replication_role=replica',
    ]);
    $process->mustRun();

    return trim($process->getOutput());
}

/** @param  list<string>  $paths  of the migrations; none for all that are left */
function migrateOldShape(array $paths = []): void
{
    $process = new Process(
        [PHP_BINARY, 'artisan', 'migrate', '--force', ...array_map(static fn(string $path): string => "--path={$path}", $paths)],
        base_path(),
        [
            'DB_DATABASE' => 'old_shape',
            'DB_USERNAME' => (string) getenv('PGUSER'),
            'DB_PASSWORD' => (string) getenv('PGPASSWORD'),
            'APP_CONFIG_CACHE' => '/nonexistent',
        ],
        timeout: 120,
    );
    $process->mustRun();
}

beforeEach(function (): void {
    (new Process([
        'psql',
        '-q',
        '-d',
        'postgres',
        '-c',
        'DROP DATABASE IF EXISTS old_shape WITH (FORCE)',
        '-c',
        'CREATE DATABASE old_shape',
    ]))->mustRun();
    migrateOldShape(
        array_values(
            array_filter(
                array_map(
                    static fn(string $path): string => "database/migrations/{$path}",
                    array_map(basename(...), glob(database_path('migrations/*.php')) ?: []),
                ),
                static fn(string $path): bool => basename($path) < '2026_01_01_000037',
            ),
        ),
    );
    inOldShape(
        <<<'SQL'
            INSERT INTO people (id, login, name, email, password, roles) VALUES (1, 'edda', 'Edda', 'edda@example.test', '!', '[]');
            INSERT INTO categories (id, code, name) VALUES (1, 'pump', 'Pumps');
            INSERT INTO items (id, number, title, kind, category_id, unit) SELECT n, 'I-' || n, 'Item', 'part', 1, 'pc' FROM generate_series(1, 4) n;
            -- A held until B came; what the plants build was copied to B when it was released, and an order has begun C.
            INSERT INTO revisions (id, item_id, code, status, effective_from, effective_to) VALUES
                (10, 1, 'A', 'superseded', '2026-01-01', '2026-06-01'), (11, 1, 'B', 'released', '2026-06-01', NULL), (12, 2, 'A', 'in_work', NULL, NULL);
            INSERT INTO structure_lines (revision_id, kind, plant, line_key, find, component_id, quantity, unit)
                SELECT r, kind, plant, ('00000000-0000-7000-8000-0000000000' || key)::uuid, 10, component, 1000000, 'pc' FROM (VALUES
                    (10, 'engineering', '', '01', 3), (11, 'engineering', '', '01', 4), (10, 'design', '', '02', 3),
                    (10, 'manufacturing', 'Tarn', '03', 3), (11, 'manufacturing', 'Tarn', '03', 3), (11, 'manufacturing', 'Weir', '04', 3),
                    (12, 'engineering', '', '05', 3), (12, 'manufacturing', 'Tarn', '06', 3)) AS l (r, kind, plant, key, component);
            INSERT INTO change_orders (id, number, title, priority, state, author_id, raised_at) VALUES
                (1, 'ECO-1', 'Begun', 'normal', 'revising', 1, now()), (2, 'ECO-2', 'Planned', 'normal', 'planning', 1, now());
            INSERT INTO change_order_items (id, order_id, item_id, outcome, base_revision_id) VALUES
                (20, 1, 1, 'revise', 11), (21, 1, 3, 'keep', NULL), (22, 2, 1, 'revise', NULL);
            INSERT INTO edits (order_item_id, number, operation, line_key, fields, author_id, made_at) VALUES
                (20, 1, 'change', '00000000-0000-7000-8000-000000000001', '{"quantity": "2"}', 1, now());
            INSERT INTO iterations (order_item_id, number, base_revision_id, edits, person_id, saved_at) VALUES (20, 1, 11, '[1]', 1, now());
        SQL
        ,
    );
    migrateOldShape();
});

afterEach(fn() => (new Process(['psql', '-q', '-d', 'postgres', '-c', 'DROP DATABASE IF EXISTS old_shape WITH (FORCE)']))->run());

it('gives what plants build and what the model says a life of its own, on the days of the revisions it hung on', function (): void {
    expect(
        inOldShape("SELECT concat_ws(' ', kind, plant, code, status, effective_from, effective_to, (SELECT string_agg(right(line_key::text, 2), ',') FROM structure_lines l WHERE l.content_id = c.id))
            FROM contents c ORDER BY item_id, kind, plant, code"),
    )
        ->toBe(
            implode("\n", [
                'design  A superseded 2026-01-01 2026-06-01 02',
                'engineering  A superseded 2026-01-01 2026-06-01 01',
                'engineering  B released 2026-06-01 01',
                'manufacturing Tarn A superseded 2026-01-01 2026-06-01 03',
                'manufacturing Tarn B released 2026-06-01 03',
                'manufacturing Weir B released 2026-06-01 04',
                'engineering  A in_work 05',
                'manufacturing Tarn A in_work 06',
            ]),
        )
        // The revisions of items are what they were.
        ->and(inOldShape("SELECT string_agg(id || code, ' ' ORDER BY id) FROM revisions"))
        ->toBe('10A 11B 12A')
        ->and(
            inOldShape(
                'SELECT count(*) FROM contents c JOIN contents r ON r.id = c.builds_id AND r.code = c.code AND r.item_id = c.item_id',
            ),
        )
        ->toBe('5');
});

it('makes works of what orders do, with their edits and what was saved of them', function (): void {
    expect(
        inOldShape("SELECT concat_ws(' ', w.order_item_id, w.kind, w.base_id, e.part, e.fields ->> 'quantity', t.edits, t.base_id)
            FROM works w LEFT JOIN edits e ON e.work_id = w.id LEFT JOIN iterations t ON t.work_id = w.id"),
    )->toBe('20 engineering 11 00000000-0000-7000-8000-000000000001 2 [1] 11');
});

it('guards them like all others', function (): void {
    foreach (
        [
            'UPDATE structure_lines SET quantity = 2' => 'never changes',
            "INSERT INTO contents (item_id, kind, plant, code, status) VALUES (1, 'manufacturing', 'Tarn', 'B', 'in_work')" =>
                'contents_code_once',
            "UPDATE contents SET effective_from = '2026-02-01' WHERE kind = 'manufacturing'" => 'never changes',
        ]
        as $sql => $reason
    ) {
        $process = new Process(['psql', '-X', '-q', '-d', 'old_shape', '-c', $sql]);
        $process->run();
        expect($process->getErrorOutput())->toContain($reason);
    }
});
