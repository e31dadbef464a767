<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Sheets and pictures of items are shown small wherever somebody chooses an item. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE thumbnails (
                file_id uuid PRIMARY KEY REFERENCES item_files (id) ON DELETE CASCADE,
                png bytea NOT NULL
            );
            COMMENT ON TABLE thumbnails IS 'the first page of a file, small; drawn once, and anew when it is lost';
            CREATE VIEW item_pictures AS
                SELECT DISTINCT ON (item_id) item_id, file_id
                FROM (
                    SELECT f.item_id, f.id AS file_id, f.role = 'picture' AS is_picture, true AS is_own, r.effective_from, f.brought_at
                    FROM item_files f LEFT JOIN revisions r ON r.id = f.revision_id
                    WHERE f.role = 'picture' OR (f.role = 'sheet' AND r.effective_from <= current_date)
                    UNION ALL
                    SELECT d.item_id, f.id, false, false, r.effective_from, f.brought_at
                    FROM item_documents d JOIN item_files f ON f.item_id = d.document_id JOIN revisions r ON r.id = f.revision_id
                    WHERE f.role = 'sheet' AND r.effective_from <= current_date
                ) shown
                ORDER BY item_id, is_picture DESC, is_own DESC, effective_from DESC NULLS LAST, brought_at DESC;
            COMMENT ON VIEW item_pictures IS 'what an item is told by at a glance: its picture, else its sheet, else that of a drawing of it';
        ");
    }
};
