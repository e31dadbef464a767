<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Conditions of an order that somebody lets go, as they were found, with a reason. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE order_waivers (
                id bigserial PRIMARY KEY,
                order_id bigint NOT NULL REFERENCES change_orders (id),
                condition varchar(60) NOT NULL,
                fault text NOT NULL,
                reason text NOT NULL,
                person_id bigint NOT NULL REFERENCES people (id),
                waived_at timestamptz NOT NULL,
                withdrawn_at timestamptz
            );
            CREATE UNIQUE INDEX order_waivers_one ON order_waivers (order_id, condition) WHERE withdrawn_at IS NULL;
            COMMENT ON COLUMN order_waivers.fault IS 'why the condition did not hold then: another fault is not waived';
        ");
    }
};
