<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Marks of change lie over a sheet, and are released, held and kept with it. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                CREATE TABLE sheet_marks (
                    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                    file_id uuid NOT NULL REFERENCES item_files (id) ON DELETE CASCADE,
                    page integer NOT NULL CHECK (page > 0),
                    "left" numeric(5, 4) NOT NULL CHECK ("left" BETWEEN 0 AND 1),
                    top numeric(5, 4) NOT NULL CHECK (top BETWEEN 0 AND 1),
                    zone varchar(4) NOT NULL,
                    note varchar(200) NOT NULL,
                    person_id bigint NOT NULL REFERENCES people (id),
                    set_at timestamptz NOT NULL
                );
                COMMENT ON TABLE sheet_marks IS 'marks of change on the face of a sheet; where they are in shares of the page';
                CREATE INDEX sheet_marks_file ON sheet_marks (file_id);
                CREATE FUNCTION refuse_marks_on_held_sheets() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    file item_files;
                BEGIN
                    SELECT * INTO file FROM item_files WHERE id = CASE TG_OP WHEN 'INSERT' THEN NEW.file_id ELSE OLD.file_id END;
                    IF file.revision_id IS NOT NULL THEN
                        RAISE EXCEPTION 'The marks of a released sheet stay as they are.' USING ERRCODE = 'restrict_violation';
                    END IF;
                    IF EXISTS (
                        SELECT FROM change_orders o JOIN change_order_items i ON i.order_id = o.id
                        WHERE i.item_id = file.item_id AND i.outcome = 'revise' AND o.state IN ('in_review', 'signed')
                          AND (file.order_id IS NULL OR o.id = file.order_id)
                    ) THEN
                        RAISE EXCEPTION 'The order is locked: marks on its sheets cannot change.' USING ERRCODE = 'restrict_violation';
                    END IF;
                    RETURN COALESCE(NEW, OLD);
                END $$;
                CREATE TRIGGER held_marks BEFORE INSERT OR UPDATE OR DELETE ON sheet_marks
                    FOR EACH ROW EXECUTE FUNCTION refuse_marks_on_held_sheets();
            SQL
            ,
        );
    }
};
