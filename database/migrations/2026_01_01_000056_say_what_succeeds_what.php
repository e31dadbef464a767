<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE TABLE successions (
                    id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
                    item_id bigint NOT NULL REFERENCES items (id),
                    successor_id bigint NOT NULL UNIQUE REFERENCES items (id),
                    interchangeable boolean NOT NULL,
                    order_id bigint NOT NULL REFERENCES change_orders (id),
                    CHECK (item_id <> successor_id)
                );
                CREATE INDEX successions_item ON successions (item_id);
                CREATE INDEX successions_order ON successions (order_id);
            SQL
            ,
        );
    }
};
