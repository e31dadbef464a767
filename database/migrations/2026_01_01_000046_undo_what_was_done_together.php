<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Edits that were made at one stroke are taken back at one stroke. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            "ALTER TABLE edits ADD COLUMN act integer;
            COMMENT ON COLUMN edits.act IS 'the number of the first of those that were made together; null: made alone, before it was kept';",
        );
    }
};
