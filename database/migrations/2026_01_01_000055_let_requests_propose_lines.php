<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                ALTER TABLE change_order_requests ADD COLUMN left_out jsonb NOT NULL DEFAULT '[]';

                CREATE OR REPLACE FUNCTION refuse_edits_of_held_orders() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    held text;
                BEGIN
                    SELECT o.state INTO held FROM change_orders o JOIN change_order_items i ON i.order_id = o.id JOIN works w ON w.order_item_id = i.id
                        WHERE w.id = COALESCE(NEW.work_id, OLD.work_id);
                    IF held NOT IN ('revising', 'planning', 'proposed') THEN
                        RAISE EXCEPTION 'The order is held still: its edits cannot change.' USING ERRCODE = 'restrict_violation';
                    END IF;
                    RETURN COALESCE(NEW, OLD);
                END $$;
            SQL
            ,
        );
    }
};
