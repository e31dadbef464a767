<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Planning's own copy is read back and compared with what holds; what differs is kept until it does not any more. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE verifications (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                order_id bigint REFERENCES change_orders (id),
                items jsonb,
                state varchar(20) NOT NULL CHECK (state IN ('waiting', 'running', 'done', 'silent', 'cancelled')),
                asked_by bigint REFERENCES people (id),
                asked_at timestamptz NOT NULL,
                started_at timestamptz,
                ended_at timestamptz,
                parts integer NOT NULL DEFAULT 0,
                parts_done integer NOT NULL DEFAULT 0,
                compared bigint NOT NULL DEFAULT 0,
                differing bigint NOT NULL DEFAULT 0,
                fault varchar(500) NOT NULL DEFAULT ''
            );
            COMMENT ON COLUMN verifications.items IS 'numbers of the items that are compared; null: everything';
            COMMENT ON COLUMN verifications.order_id IS 'whose hand-over was answered';
            COMMENT ON COLUMN verifications.compared IS 'rows of ours';
            CREATE INDEX verifications_of_everything ON verifications (id) WHERE items IS NULL;
            CREATE INDEX verifications_of_order ON verifications (order_id, id);

            CREATE TABLE planning_differences (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                key text COLLATE \"C\" NOT NULL UNIQUE,
                structure varchar(20) NOT NULL,
                plant varchar(60) NOT NULL,
                item varchar(60) NOT NULL,
                revision varchar(20) NOT NULL,
                mark varchar(10) NOT NULL,
                ours text,
                theirs text,
                mover varchar(10) NOT NULL,
                order_id bigint REFERENCES change_orders (id),
                handover_entry_id bigint REFERENCES handover_entries (id),
                found_at timestamptz NOT NULL,
                verification_id bigint NOT NULL REFERENCES verifications (id),
                CHECK (ours IS NOT NULL OR theirs IS NOT NULL)
            );
            COMMENT ON COLUMN planning_differences.ours IS 'the row as it is here, as CopyRow reads it; null: it is only there';
            COMMENT ON COLUMN planning_differences.order_id IS 'the order that released the revision';
            CREATE INDEX planning_differences_item ON planning_differences (item);
            CREATE INDEX planning_differences_order ON planning_differences (order_id) WHERE order_id IS NOT NULL;

            ALTER TABLE handovers ALTER COLUMN order_id DROP NOT NULL;
            COMMENT ON COLUMN handovers.order_id IS 'whose release it is; null: it corrects what planning has';
            CREATE INDEX handovers_unsettled ON handovers (written_at) WHERE state <> 'taken';
            CREATE INDEX handover_entries_item ON handover_entries ((record ->> 'item'));
            CREATE INDEX items_by_bytes ON items (number COLLATE \"C\");
        ");
    }
};
