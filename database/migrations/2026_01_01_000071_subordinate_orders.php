<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** An order may be subordinate to another. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE change_orders
                ADD COLUMN parent_id bigint REFERENCES change_orders (id) CHECK (parent_id <> id),
                ADD COLUMN with_parent boolean NOT NULL DEFAULT false;
            CREATE INDEX change_orders_parent ON change_orders (parent_id) WHERE parent_id IS NOT NULL;
            COMMENT ON COLUMN change_orders.parent_id IS 'the order before which it is not released';
            COMMENT ON COLUMN change_orders.with_parent IS 'whether it is released with its parent in one stroke';
        ");
    }
};
