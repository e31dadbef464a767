<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Every machine keeps the structures as lists in files (see docs/decisions/0005). Here the database notes which items have
 * changed, and in which transaction: whoever has files of an earlier day reads these items anew.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                ALTER TABLE structure_lines ADD COLUMN phantom boolean NOT NULL DEFAULT false;
                COMMENT ON COLUMN structure_lines.phantom IS 'never stocked: its own components go straight into the parent';

                CREATE TABLE structure_touches (
                    id bigserial PRIMARY KEY,
                    item_id bigint NOT NULL REFERENCES items (id),
                    xact bigint NOT NULL DEFAULT (pg_current_xact_id()::text::bigint),
                    at timestamptz NOT NULL DEFAULT now()
                );
                CREATE INDEX structure_touches_xact ON structure_touches (xact);

                CREATE FUNCTION note_structure_touch() RETURNS trigger LANGUAGE plpgsql AS $$
                BEGIN
                    IF TG_OP <> 'INSERT' AND OLD.status IN ('released', 'superseded', 'obsolete')
                       OR TG_OP <> 'DELETE' AND NEW.status IN ('released', 'superseded', 'obsolete') THEN
                        INSERT INTO structure_touches (item_id) VALUES (COALESCE(NEW.item_id, OLD.item_id));
                    END IF;
                    RETURN NULL;
                END $$;
                CREATE TRIGGER structure_touched AFTER INSERT OR UPDATE OR DELETE ON revisions
                    FOR EACH ROW EXECUTE FUNCTION note_structure_touch();
            SQL
            ,
        );
    }
};
