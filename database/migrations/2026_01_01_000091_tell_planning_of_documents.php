<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is decided about open documents is handed over to planning like everything else, and answered line by line. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE handovers ADD COLUMN kind varchar(12) NOT NULL DEFAULT 'release' CHECK (kind IN ('release', 'correction', 'documents'));
            UPDATE handovers SET kind = 'correction' WHERE order_id IS NULL;
            ALTER TABLE handovers ALTER COLUMN kind DROP DEFAULT;
            COMMENT ON COLUMN handovers.kind IS 'a release, what puts planning right, or what is done about open documents';
            ALTER TABLE old_documents ADD COLUMN handover_entry_id bigint REFERENCES handover_entries (id);
            COMMENT ON COLUMN old_documents.handover_entry_id IS 'in which planning was told of the decision; null: it was not, or the decision is another now';
        ");
    }
};
