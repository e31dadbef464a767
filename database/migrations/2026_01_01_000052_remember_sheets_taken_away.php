<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What the lines of an order read like when somebody took them away as a sheet: what comes back is merged with what others did since. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE order_sheets (
                id uuid PRIMARY KEY,
                order_id bigint NOT NULL REFERENCES change_orders (id) ON DELETE CASCADE,
                person_id bigint NOT NULL REFERENCES people (id),
                taken_at timestamptz NOT NULL,
                lines jsonb NOT NULL,
                marked_id uuid REFERENCES stored_files (id)
            );
            COMMENT ON COLUMN order_sheets.lines IS 'texts of fields by subject (item and work) and line';
            COMMENT ON COLUMN order_sheets.marked_id IS 'what came back last with cells that cannot be so, each marked';
            CREATE INDEX order_sheets_order ON order_sheets (order_id);
        ");
    }
};
