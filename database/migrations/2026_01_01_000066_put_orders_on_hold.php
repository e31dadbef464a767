<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** An order can be put on hold with a reason, and let go on again; what is due meanwhile moves by as many days where that is chosen. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE change_orders
                ADD COLUMN on_hold_since timestamptz,
                ADD COLUMN on_hold_reason text NOT NULL DEFAULT '',
                ADD COLUMN on_hold_by bigint REFERENCES people (id),
                ADD COLUMN days_moved integer NOT NULL DEFAULT 0,
                ADD CONSTRAINT change_orders_on_hold CHECK ((on_hold_since IS NULL) = (on_hold_by IS NULL));
            COMMENT ON COLUMN change_orders.days_moved IS 'by which what is due of its review has moved while it was on hold';
        ");
    }
};
