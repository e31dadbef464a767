<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** An item is told by its model, as soon as that is drawn small. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE OR REPLACE VIEW item_pictures AS
                SELECT DISTINCT ON (item_id) item_id, file_id
                FROM (
                    SELECT f.item_id, f.id AS file_id, CASE f.role WHEN 'picture' THEN 0 WHEN 'model' THEN 1 ELSE 2 END AS rank, r.effective_from, f.brought_at
                    FROM item_files f LEFT JOIN revisions r ON r.id = f.revision_id
                    WHERE f.role = 'picture' OR (r.effective_from <= current_date
                        AND (f.role = 'sheet' OR (f.role = 'model' AND EXISTS (SELECT FROM thumbnails t WHERE t.file_id = f.id))))
                    UNION ALL
                    SELECT d.item_id, f.id, 3, r.effective_from, f.brought_at
                    FROM item_documents d JOIN item_files f ON f.item_id = d.document_id JOIN revisions r ON r.id = f.revision_id
                    WHERE f.role = 'sheet' AND r.effective_from <= current_date
                ) shown
                ORDER BY item_id, rank, effective_from DESC NULLS LAST, brought_at DESC;
            COMMENT ON VIEW item_pictures IS
                'what an item is told by at a glance: its picture, else its model, else its sheet, else that of a drawing of it';
        ");
    }
};
