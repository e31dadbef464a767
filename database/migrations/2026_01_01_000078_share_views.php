<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Views that somebody shares with a group. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE favourites ADD COLUMN group_id bigint REFERENCES groups (id);
            CREATE INDEX favourites_group ON favourites (group_id) WHERE group_id IS NOT NULL;
            COMMENT ON COLUMN favourites.group_id IS 'whose people have it too; null: nobody else has';
        ");
    }
};
