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
            CREATE OR REPLACE VIEW acting_on_orders AS
                SELECT id AS order_id, editor_id AS person_id FROM change_orders
                WHERE state = 'revising' AND editor_id IS NOT NULL AND on_hold_since IS NULL
                UNION ALL SELECT a.order_id, a.person_id FROM order_actors a
                JOIN change_orders o ON o.id = a.order_id AND o.state = 'in_review' AND o.on_hold_since IS NULL;
            COMMENT ON COLUMN change_orders.days_moved IS 'by which what is due of its review has moved while it was on hold';
        ");
    }
};
