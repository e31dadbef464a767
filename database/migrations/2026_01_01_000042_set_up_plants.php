<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** When plants work, where they are in time, and what an hour costs at their work centres. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE TABLE plants (
                    code text PRIMARY KEY,
                    time_zone text,
                    weekdays jsonb NOT NULL DEFAULT '[1, 2, 3, 4, 5]',
                    shifts text NOT NULL DEFAULT '',
                    version integer NOT NULL DEFAULT 1,
                    CHECK (jsonb_array_length(weekdays) > 0)
                );
                COMMENT ON TABLE plants IS 'of sites: when each works, and where it is in time; one that was never set up has no row';
                CREATE TABLE plant_days (
                    plant text NOT NULL REFERENCES plants ON DELETE CASCADE,
                    day date NOT NULL,
                    works boolean NOT NULL DEFAULT false,
                    name text NOT NULL DEFAULT '',
                    PRIMARY KEY (plant, day)
                );
                CREATE TABLE work_centres (
                    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                    plant text NOT NULL,
                    code text NOT NULL,
                    name text NOT NULL,
                    rate bigint NOT NULL CHECK (rate >= 0),
                    retired boolean NOT NULL DEFAULT false,
                    version integer NOT NULL DEFAULT 1,
                    UNIQUE (plant, code)
                );
                COMMENT ON COLUMN work_centres.rate IS 'of an hour, in ten-thousandths of the currency';
            SQL
            ,
        );
    }
};
