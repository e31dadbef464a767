<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What belongs to an item on an order stays as it is, and somebody has said why. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE left_behind (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                order_id bigint NOT NULL REFERENCES change_orders (id),
                item_id bigint NOT NULL REFERENCES items (id),
                kind varchar(20) NOT NULL,
                other_id bigint NOT NULL REFERENCES items (id),
                fault text NOT NULL,
                reason varchar(300) NOT NULL CHECK (reason <> ''),
                person_id bigint NOT NULL REFERENCES people (id),
                left_at timestamptz NOT NULL,
                withdrawn_at timestamptz
            );
            COMMENT ON COLUMN left_behind.other_id IS 'what stays as it is';
            COMMENT ON COLUMN left_behind.fault IS 'as it was found: another one is not decided';
            CREATE UNIQUE INDEX left_behind_once ON left_behind (order_id, item_id, kind, other_id, md5(fault)) WHERE withdrawn_at IS NULL;
        ");
    }
};
