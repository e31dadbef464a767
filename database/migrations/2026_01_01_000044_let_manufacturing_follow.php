<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** That a plant takes over what an order changes later: under which order, by which day, and why. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE TABLE follow_ups (
                    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                    order_id bigint NOT NULL REFERENCES change_orders,
                    item_id bigint NOT NULL REFERENCES items,
                    plant text NOT NULL,
                    under_id bigint NOT NULL REFERENCES change_orders,
                    by_day date NOT NULL,
                    reason text NOT NULL CHECK (reason <> ''),
                    UNIQUE (order_id, item_id, plant),
                    CHECK (order_id <> under_id)
                );
                COMMENT ON TABLE follow_ups IS 'plants that take over what an order changes under another order, by a day';
                CREATE INDEX follow_ups_under ON follow_ups (under_id);
            SQL
            ,
        );
    }
};
