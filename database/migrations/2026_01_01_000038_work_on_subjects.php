<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What an order changes of an item is a work: one subject (its engineering content, what a plant builds …), the content that it starts
 * from, and the edits. An item can have several works under one order, each of its own kind.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE TABLE works (
                    id bigserial PRIMARY KEY,
                    order_item_id bigint NOT NULL REFERENCES change_order_items (id) ON DELETE CASCADE,
                    kind varchar(20) NOT NULL DEFAULT 'engineering',
                    plant varchar(20) NOT NULL DEFAULT '',
                    base_id bigint REFERENCES contents (id),
                    CONSTRAINT works_subject_once UNIQUE (order_item_id, kind, plant)
                );
                COMMENT ON COLUMN works.base_id IS 'the content that the edits start from; empty where there is none yet';
                CREATE INDEX works_base ON works (base_id) WHERE base_id IS NOT NULL;
                INSERT INTO works (order_item_id, base_id)
                    SELECT i.id, i.base_revision_id FROM change_order_items i JOIN change_orders o ON o.id = i.order_id
                    WHERE i.outcome = 'revise' AND o.state <> 'planning'
                        OR EXISTS (SELECT 1 FROM edits e WHERE e.order_item_id = i.id)
                        OR EXISTS (SELECT 1 FROM iterations t WHERE t.order_item_id = i.id)
                    ORDER BY i.id;

                ALTER TABLE edits DISABLE TRIGGER USER;
                ALTER TABLE edits ADD COLUMN work_id bigint REFERENCES works (id) ON DELETE CASCADE;
                UPDATE edits e SET work_id = w.id FROM works w WHERE w.order_item_id = e.order_item_id;
                ALTER TABLE edits ALTER COLUMN work_id SET NOT NULL, DROP COLUMN order_item_id, DROP COLUMN structure,
                    ADD CONSTRAINT edits_number_once UNIQUE (work_id, number);
                ALTER TABLE edits ALTER COLUMN line_key TYPE varchar(80) USING line_key::text;
                ALTER TABLE edits RENAME COLUMN line_key TO part;
                COMMENT ON COLUMN edits.part IS 'what of the subject it is an edit of: the key of a line';
                ALTER TABLE edits ENABLE TRIGGER USER;

                ALTER TABLE iterations ADD COLUMN work_id bigint REFERENCES works (id) ON DELETE CASCADE;
                UPDATE iterations t SET work_id = w.id FROM works w WHERE w.order_item_id = t.order_item_id;
                ALTER TABLE iterations ALTER COLUMN work_id SET NOT NULL, DROP COLUMN order_item_id,
                    ADD CONSTRAINT iterations_number_once UNIQUE (work_id, number);
                ALTER TABLE iterations RENAME COLUMN base_revision_id TO base_id;

                ALTER TABLE change_order_items DROP COLUMN base_revision_id;

                CREATE OR REPLACE FUNCTION refuse_edits_of_held_orders() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    held text;
                BEGIN
                    SELECT o.state INTO held FROM change_orders o JOIN change_order_items i ON i.order_id = o.id JOIN works w ON w.order_item_id = i.id
                        WHERE w.id = COALESCE(NEW.work_id, OLD.work_id);
                    IF held <> 'revising' AND held <> 'planning' THEN
                        RAISE EXCEPTION 'The order is held still: its edits cannot change.' USING ERRCODE = 'restrict_violation';
                    END IF;
                    RETURN COALESCE(NEW, OLD);
                END $$;
            SQL
            ,
        );
    }
};
