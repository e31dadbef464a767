<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE TABLE modelled_names (name text PRIMARY KEY, item_id bigint NOT NULL REFERENCES items (id));

                CREATE TABLE modelled_assemblies (
                    item_id bigint PRIMARY KEY REFERENCES items (id),
                    pieces jsonb NOT NULL,
                    order_id bigint NOT NULL REFERENCES change_orders (id),
                    stroke uuid,
                    brought_at timestamptz NOT NULL DEFAULT CURRENT_TIMESTAMP
                );
            SQL
            ,
        );
    }
};
