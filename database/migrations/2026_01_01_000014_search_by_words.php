<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Words are found in whatever form they stand (full text), beside any part of a number or title (trigrams, since the beginning). */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                ALTER TABLE items ADD COLUMN words tsvector GENERATED ALWAYS AS (
                    to_tsvector('english', title || ' ' || coalesce(supplier, '') || ' ' || coalesce(material, '')) || jsonb_to_tsvector('english', attributes, '["string"]')
                ) STORED;
                CREATE INDEX items_full_text ON items USING gin (words);
                ALTER TABLE change_requests ADD COLUMN words tsvector GENERATED ALWAYS AS (to_tsvector('english', title || ' ' || description || ' ' || finding)) STORED;
                CREATE INDEX change_requests_full_text ON change_requests USING gin (words);
                ALTER TABLE change_orders ADD COLUMN words tsvector GENERATED ALWAYS AS (to_tsvector('english', title || ' ' || description)) STORED;
                CREATE INDEX change_orders_full_text ON change_orders USING gin (words);
            SQL
            ,
        );
    }
};
