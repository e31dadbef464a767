<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/* Backup and restore as docs/operations.md says: everything comes back, serves, and its ledger is whole. */

/** @param  array<string, string>  $env */
function runs(array|string $command, array $env = []): Process
{
    $process = is_string($command)
        ? Process::fromShellCommandline($command, base_path(), $env, timeout: 120)
        : new Process($command, base_path(), $env, timeout: 120);
    $process->run();

    return $process;
}

beforeEach(function (): void {
    $this->database = config()->string('database.connections.pgsql.database');
    $this->dump = sys_get_temp_dir() . '/orthotaxis-backup-' . bin2hex(random_bytes(4));
    runs('psql -q -d postgres -c "DROP DATABASE IF EXISTS restored WITH (FORCE)" -c "CREATE DATABASE restored"')->isSuccessful() ||
        throw new RuntimeException('no database to restore into');
    $this->artisan = fn(string ...$arguments): Process => runs(
        [PHP_BINARY, 'artisan', ...$arguments],
        [
            'DB_DATABASE' => 'restored',
            'DB_USERNAME' => (string) getenv('PGUSER'),
            'DB_PASSWORD' => (string) getenv('PGPASSWORD'),
            'STRUCTURE_INDEX' => sys_get_temp_dir() . '/orthotaxis-restored-index',
            'APP_CONFIG_CACHE' => '/nonexistent',
        ],
    );
});

afterEach(function (): void {
    @unlink($this->dump);
    runs(['rm', '-rf', sys_get_temp_dir() . '/orthotaxis-restored-index']);
    runs('psql -q -d postgres -c "DROP DATABASE IF EXISTS restored WITH (FORCE)"');
});

it('restores all there was, with what guards it, and a ledger that is whole', function (): void {
    expect(runs("pg_dump -Fc {$this->database} > {$this->dump}")->isSuccessful())
        ->toBeTrue()
        ->and(runs("pg_restore --clean --if-exists -d restored {$this->dump}")->getErrorOutput())
        ->toBe('');
    $counts = fn(string $database): string => runs([
        'psql',
        '-d',
        $database,
        '-Atc',
        "SELECT string_agg(format('%s=%s', c.relname, (xpath('/row/n/text()', query_to_xml(format('SELECT count(*) AS n FROM %I', c.relname), false, true, '')))[1]::text), ' ' ORDER BY c.relname) || (SELECT ' triggers=' || count(*) FROM pg_trigger WHERE NOT tgisinternal) FROM pg_class c JOIN pg_namespace s ON s.oid = c.relnamespace WHERE s.nspname = 'public' AND c.relkind = 'r'",
    ])->getOutput();
    expect($counts('restored'))->toBe($counts($this->database))->and($counts('restored'))->toContain('ledger=')->toContain('triggers=');
    expect(($this->artisan)('ledger:verify')->getExitCode())
        ->toBe(0)
        ->and(($this->artisan)('structures:index')->getExitCode())
        ->toBe(0)
        ->and(($this->artisan)('migrate', '--force')->getOutput())
        ->toContain('Nothing to migrate');
    // What was altered on the way, in a backup for instance, is noticed.
    runs([
        'psql',
        '-q',
        '-d',
        'restored',
        '-c',
        "ALTER TABLE ledger DISABLE TRIGGER USER; UPDATE ledger SET actor = 'nobody' WHERE number = (SELECT max(number) - 3 FROM ledger)",
    ]);
    expect(($this->artisan)('ledger:verify')->getExitCode())->toBe(1);
});
