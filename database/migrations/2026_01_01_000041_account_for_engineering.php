<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What a line of manufacturing stands for, what is lost at it, and what is on record about engineering lines that are not taken over. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                ALTER TABLE structure_lines
                    ADD COLUMN scrap integer NOT NULL DEFAULT 0 CHECK (scrap >= 0 AND scrap < 1000000),
                    ADD COLUMN takes_over uuid;
                COMMENT ON COLUMN structure_lines.scrap IS 'millionths of the quantity that are lost on top of it';
                COMMENT ON COLUMN structure_lines.takes_over IS 'the key of the engineering line that a line of manufacturing stands for';

                CREATE TABLE line_records (
                    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                    content_id bigint NOT NULL REFERENCES contents ON DELETE CASCADE,
                    line_key uuid NOT NULL,
                    by_id bigint REFERENCES items,
                    new bigint NOT NULL DEFAULT 1000000 CHECK (new > 0),
                    unit text,
                    old bigint NOT NULL DEFAULT 1000000 CHECK (old > 0),
                    reason text NOT NULL CHECK (reason <> ''),
                    UNIQUE (content_id, line_key),
                    CHECK ((by_id IS NULL) = (unit IS NULL))
                );
                COMMENT ON TABLE line_records IS 'engineering lines that a plant replaces or leaves out, with the reason';

                CREATE FUNCTION refuse_released_records() RETURNS trigger LANGUAGE plpgsql AS $$
                DECLARE
                    state text;
                BEGIN
                    SELECT status INTO state FROM contents WHERE id = (CASE TG_OP WHEN 'DELETE' THEN OLD.content_id ELSE NEW.content_id END) FOR SHARE;
                    IF state NOT IN ('in_work', 'in_review') THEN
                        RAISE EXCEPTION 'What a released revision has on record never changes. Revise it under an order.'
                            USING ERRCODE = 'restrict_violation';
                    END IF;
                    IF TG_OP = 'UPDATE' AND NEW.content_id <> OLD.content_id THEN
                        RAISE EXCEPTION 'What is on record stays with its revision.' USING ERRCODE = 'restrict_violation';
                    END IF;
                    RETURN COALESCE(NEW, OLD);
                END $$;
                CREATE TRIGGER released_records BEFORE INSERT OR UPDATE OR DELETE ON line_records FOR EACH ROW EXECUTE FUNCTION refuse_released_records();
                CREATE TRIGGER records_whole BEFORE TRUNCATE ON line_records FOR EACH STATEMENT EXECUTE FUNCTION refuse_rewriting();
            SQL
            ,
        );
    }
};
