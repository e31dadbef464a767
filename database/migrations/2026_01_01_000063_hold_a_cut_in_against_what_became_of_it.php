<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What would be left over and short by the plan of a chosen day, and what was once the day had come. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE cut_ins ADD COLUMN planned jsonb NOT NULL DEFAULT '[]';
            COMMENT ON COLUMN cut_ins.planned IS 'left over and short of each part at each plant, by the plan of the moment of choosing';
            CREATE TABLE cut_in_outcomes (
                cut_in_id bigint NOT NULL REFERENCES cut_ins (id),
                plant text NOT NULL,
                seen_on date NOT NULL,
                parts jsonb NOT NULL,
                PRIMARY KEY (cut_in_id, plant)
            );
            COMMENT ON COLUMN cut_in_outcomes.seen_on IS 'the day, or the first after it on which planning answered';
        ");
    }
};
