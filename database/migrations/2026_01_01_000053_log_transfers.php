<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What was carried from one structure to its siblings: which edits fitted, what was decided about the others. It stays as it was. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE transfers (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                from_id bigint NOT NULL REFERENCES change_orders (id),
                into_id bigint NOT NULL REFERENCES change_orders (id),
                person_id bigint NOT NULL REFERENCES people (id),
                stroke uuid NOT NULL,
                made_at timestamptz NOT NULL,
                rows jsonb NOT NULL
            );
            COMMENT ON COLUMN transfers.stroke IS 'of the edits that it made: each of them knows by it where it came from';
            COMMENT ON COLUMN transfers.rows IS 'one for each edit and sibling: where from, where to, how it fits, why not, whether it was taken';
            CREATE INDEX transfers_from ON transfers (from_id);
            CREATE INDEX transfers_into ON transfers (into_id);
            CREATE UNIQUE INDEX transfers_stroke ON transfers (stroke);
            CREATE FUNCTION transfers_stay() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                RAISE EXCEPTION 'What was transferred stays on record.';
            END $$;
            CREATE TRIGGER transfers_stay BEFORE UPDATE OR DELETE ON transfers FOR EACH ROW EXECUTE FUNCTION transfers_stay();
        ");
    }
};
