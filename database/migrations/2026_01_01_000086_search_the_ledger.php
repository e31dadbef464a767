<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The ledger is searched as a whole, and leaves the house signed. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE house_keys (
                id smallint PRIMARY KEY DEFAULT 1 CHECK (id = 1),
                public text NOT NULL,
                private text NOT NULL
            );
            COMMENT ON TABLE house_keys IS 'the key pair with which what leaves the house is signed; the private half encrypted';
            CREATE INDEX ledger_actor ON ledger (actor, number);
            CREATE INDEX ledger_act ON ledger (act text_pattern_ops, number);
            CREATE INDEX ledger_at ON ledger (at);
            CREATE INDEX ledger_words ON ledger USING gin ((subject || ' ' || actor || ' ' || details) gin_trgm_ops);
            UPDATE roles SET abilities = abilities || '[\"read_ledger\"]'
                WHERE NOT jsonb_exists(abilities, 'read_ledger')
                AND jsonb_exists_any(abilities, ARRAY ['set_up', 'manage_people', 'import_data']);
        ");
    }
};
