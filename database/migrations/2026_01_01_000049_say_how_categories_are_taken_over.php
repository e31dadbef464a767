<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A category says how plants take over what is in it, where neither what they built before nor another item says it. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(
            "ALTER TABLE categories
                ADD COLUMN taken_over text CHECK (taken_over IN ('with_before', 'first', 'last', 'left_out')),
                ADD COLUMN taken_over_reason varchar(200) NOT NULL DEFAULT '',
                ADD CONSTRAINT categories_taken_over_reason CHECK ((taken_over_reason <> '') = (taken_over IS NOT DISTINCT FROM 'left_out'))",
        );
        DB::statement("COMMENT ON COLUMN categories.taken_over IS 'null: as the category that it stands under says'");
    }
};
