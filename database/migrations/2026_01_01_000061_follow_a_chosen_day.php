<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What has to be done by when for a chosen day, the day of each plant, and whether it is still good with what planning tells now. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE cut_ins
                ADD COLUMN to_do jsonb NOT NULL DEFAULT '[]',
                ADD COLUMN at_plants jsonb NOT NULL DEFAULT '[]';
            COMMENT ON COLUMN cut_ins.to_do IS 'as it was when the day was chosen';
            COMMENT ON COLUMN cut_ins.at_plants IS 'plant and day, where plants cut in on days of their own';
            CREATE TABLE cut_in_checks (
                cut_in_id bigint PRIMARY KEY REFERENCES cut_ins (id),
                checked_at timestamptz NOT NULL,
                fault text NOT NULL DEFAULT '',
                best_on date
            );
            COMMENT ON COLUMN cut_in_checks.fault IS 'why the day is not good any more; empty: it is';
        ");
    }
};
