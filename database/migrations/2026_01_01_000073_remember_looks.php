<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** How far each person has seen what was done to a change. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE looks (
                person_id bigint NOT NULL REFERENCES people (id),
                change varchar(80) NOT NULL,
                seen bigint NOT NULL,
                latest bigint NOT NULL,
                since_at timestamptz,
                looked_at timestamptz NOT NULL,
                PRIMARY KEY (person_id, change)
            );
            COMMENT ON COLUMN looks.seen IS 'number of the last record of the ledger that was seen before this visit';
            COMMENT ON COLUMN looks.latest IS 'the same when they looked last';
            COMMENT ON COLUMN looks.since_at IS 'when the visit before this one ended; null: there was none';
        ");
    }
};
