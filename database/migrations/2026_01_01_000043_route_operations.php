<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The routing of what a plant builds: its operations, what they refer to, and how many are made at once. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE TABLE routings (
                    content_id bigint PRIMARY KEY REFERENCES contents ON DELETE CASCADE,
                    batch bigint NOT NULL CHECK (batch > 0)
                );
                COMMENT ON COLUMN routings.batch IS 'how many are made at once, in millionths';

                CREATE TABLE operations (
                    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                    content_id bigint NOT NULL REFERENCES contents ON DELETE CASCADE,
                    key uuid NOT NULL,
                    number integer NOT NULL CHECK (number BETWEEN 1 AND 9999),
                    title text NOT NULL CHECK (title <> ''),
                    work_centre text NOT NULL DEFAULT '',
                    set_up bigint NOT NULL DEFAULT 0 CHECK (set_up >= 0),
                    run bigint NOT NULL DEFAULT 0 CHECK (run >= 0),
                    per text NOT NULL DEFAULT 'unit' CHECK (per IN ('unit', 'batch')),
                    supplier text NOT NULL DEFAULT '',
                    cost bigint CHECK (cost >= 0),
                    lead_time integer CHECK (lead_time >= 0),
                    inspection text NOT NULL DEFAULT '',
                    UNIQUE (content_id, key),
                    UNIQUE (content_id, number),
                    CHECK ((work_centre = '') <> (supplier = ''))
                );
                COMMENT ON COLUMN operations.work_centre IS 'by its code at the plant; empty for one that a supplier does';
                COMMENT ON COLUMN operations.set_up IS 'thousandths of a minute for a batch';
                COMMENT ON COLUMN operations.run IS 'thousandths of a minute, for a unit or for a batch as per says';
                COMMENT ON COLUMN operations.cost IS 'what a supplier takes for a unit, in ten-thousandths of the currency';
                COMMENT ON COLUMN operations.lead_time IS 'days outside';
                CREATE INDEX operations_work_centre ON operations (work_centre) WHERE work_centre <> '';

                CREATE TABLE operation_items (
                    content_id bigint NOT NULL,
                    operation_key uuid NOT NULL,
                    role text NOT NULL CHECK (role IN ('instruction', 'tool', 'specification')),
                    position integer NOT NULL DEFAULT 0,
                    item_id bigint NOT NULL REFERENCES items,
                    PRIMARY KEY (content_id, operation_key, role, position),
                    FOREIGN KEY (content_id, operation_key) REFERENCES operations (content_id, key) ON DELETE CASCADE
                );
                COMMENT ON TABLE operation_items IS 'documents and tools that operations refer to';
                CREATE INDEX operation_items_item ON operation_items (item_id);

                CREATE FUNCTION refuse_released_routing() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    state text;
                BEGIN
                    SELECT status INTO state FROM contents WHERE id = (CASE TG_OP WHEN 'DELETE' THEN OLD.content_id ELSE NEW.content_id END) FOR SHARE;
                    IF state NOT IN ('in_work', 'in_review') THEN
                        RAISE EXCEPTION 'The routing of a released revision never changes. Revise it under an order.'
                            USING ERRCODE = 'restrict_violation';
                    END IF;
                    IF TG_OP = 'UPDATE' AND NEW.content_id <> OLD.content_id THEN
                        RAISE EXCEPTION 'A routing stays with its revision.' USING ERRCODE = 'restrict_violation';
                    END IF;
                    RETURN COALESCE(NEW, OLD);
                END $$;
            SQL
            ,
        );
        foreach (['routings', 'operations', 'operation_items'] as $table) {
            DB::unprepared(
                "CREATE TRIGGER released_{$table} BEFORE INSERT OR UPDATE OR DELETE ON {$table} FOR EACH ROW EXECUTE FUNCTION refuse_released_routing();
                CREATE TRIGGER {$table}_whole BEFORE TRUNCATE ON {$table} FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();",
            );
        }
    }
};
