<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Stock and open documents in planning that still name what a released order replaced, until each is seen to. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE old_document_readings (
                order_id bigint PRIMARY KEY REFERENCES change_orders (id),
                asked_at timestamptz NOT NULL,
                read_at timestamptz,
                times integer NOT NULL DEFAULT 0,
                fault varchar(500) NOT NULL DEFAULT ''
            );
            COMMENT ON COLUMN old_document_readings.asked_at IS 'when planning was to be asked last; later than read_at: it is under way, or was in vain';
            COMMENT ON COLUMN old_document_readings.times IS 'how often planning has answered';
            CREATE TABLE old_documents (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                order_id bigint NOT NULL REFERENCES change_orders (id),
                item_id bigint NOT NULL REFERENCES items (id),
                key varchar(32) NOT NULL,
                kind varchar(30) NOT NULL,
                document varchar(100) NOT NULL,
                revision varchar(20) NOT NULL,
                comes varchar(40) NOT NULL,
                quantity bigint NOT NULL,
                unit varchar(10) NOT NULL,
                value bigint NOT NULL,
                due date,
                place varchar(100) NOT NULL,
                status varchar(60) NOT NULL,
                serial varchar(2000) NOT NULL,
                proposed varchar(20),
                is_new boolean NOT NULL,
                first_read_at timestamptz NOT NULL,
                reading integer NOT NULL,
                gone_at timestamptz,
                way varchar(20),
                owner_id bigint REFERENCES people (id),
                due_on date,
                note varchar(300) NOT NULL DEFAULT '',
                seen_at timestamptz,
                seen_by bigint REFERENCES people (id),
                rank smallint NOT NULL GENERATED ALWAYS AS
                    (CASE WHEN gone_at IS NOT NULL OR seen_at IS NOT NULL THEN 2 WHEN way IS NOT NULL THEN 1 ELSE 0 END) STORED,
                CONSTRAINT old_documents_once UNIQUE (order_id, key),
                CONSTRAINT old_documents_seen CHECK ((seen_at IS NULL) = (seen_by IS NULL))
            );
            COMMENT ON COLUMN old_documents.reading IS 'which reading of the order told of it last';
            COMMENT ON COLUMN old_documents.is_new IS 'it appeared after planning had been asked for the first time since the release';
            COMMENT ON COLUMN old_documents.gone_at IS 'when planning did not tell of it any more';
            COMMENT ON COLUMN old_documents.seen_at IS 'when a person said that nothing is left to do';
            COMMENT ON COLUMN old_documents.rank IS '0: open, 1: decided, 2: seen to';
            CREATE INDEX old_documents_listed ON old_documents (order_id, rank, due NULLS FIRST, id);
            CREATE INDEX old_documents_owner ON old_documents (owner_id) WHERE rank < 2;
            UPDATE roles SET abilities = abilities || '[\"see_to_documents\"]'
                WHERE NOT jsonb_exists(abilities, 'see_to_documents')
                AND (jsonb_exists(abilities, 'send_handover') OR code IN ('planner', 'buyer', 'manufacturing_engineer'));
        ");
    }
};
