<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Pairs of duties that one person may not have on one change. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE separation_of_duties (
                id integer PRIMARY KEY DEFAULT 1 CHECK (id = 1),
                pairs jsonb NOT NULL DEFAULT '[]',
                version integer NOT NULL DEFAULT 1
            );
            INSERT INTO separation_of_duties DEFAULT VALUES;
            COMMENT ON TABLE separation_of_duties IS 'one row: pairs of codes of duties, besides those that are apart always';
        ");
    }
};
