<?php

declare(strict_types=1);

use App\Ledger\Ledger;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/*
 * The product is served by a role of the database that owns nothing: what guards it cannot be switched off through it.
 */

it('is served by a role that appends to the ledger and does nothing else to it', function (): void {
    expect(DB::scalar('SELECT current_user'))->toBe('orthotaxis_app');
    app(Ledger::class)->record('mira.okafor', 'order.planned', 'ECO-00001');
    foreach (
        [
            "UPDATE ledger SET actor = 'nobody'",
            'DELETE FROM ledger',
            'TRUNCATE ledger',
            'ALTER TABLE ledger DISABLE TRIGGER USER',
            'DROP TRIGGER ledger_stays ON ledger',
            'ALTER TABLE revisions DISABLE TRIGGER USER',
            'DROP TABLE structure_lines',
            'CREATE TABLE other (id int)',
            "SET session_replication_role = 'replica'",
            'ALTER ROLE orthotaxis_app SUPERUSER',
            'DELETE FROM migrations',
        ]
        as $sql
    ) {
        expect(fn() => DB::transaction(fn() => DB::statement($sql)))->toThrow(QueryException::class, '', $sql);
    }
});
