<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The notice of a released order, kept as it was written; to whom it goes, and who has acknowledged it. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE distribution_lists (
                id bigserial PRIMARY KEY,
                code varchar(30) NOT NULL UNIQUE,
                name varchar(80) NOT NULL,
                plants jsonb NOT NULL,
                products jsonb NOT NULL,
                categories jsonb NOT NULL,
                recipients jsonb NOT NULL,
                acknowledge boolean NOT NULL,
                days smallint CHECK (days > 0),
                retired boolean NOT NULL DEFAULT false,
                version integer NOT NULL
            );
            COMMENT ON COLUMN distribution_lists.recipients IS 'sign-in names, and groups as group: and their code';
            COMMENT ON COLUMN distribution_lists.days IS 'office days in which it is to be acknowledged';
            CREATE TABLE change_notices (
                id bigserial PRIMARY KEY,
                order_id bigint NOT NULL UNIQUE REFERENCES change_orders (id),
                number varchar(40) NOT NULL UNIQUE,
                content text NOT NULL,
                sha256 char(64) NOT NULL,
                issued_by bigint NOT NULL REFERENCES people (id),
                issued_at timestamptz NOT NULL
            );
            COMMENT ON COLUMN change_notices.content IS 'JSON, byte for byte as its digest covers it';
            CREATE TABLE change_notice_copies (
                notice_id bigint NOT NULL REFERENCES change_notices (id),
                person_id bigint NOT NULL REFERENCES people (id),
                lists jsonb NOT NULL,
                acknowledge boolean NOT NULL,
                due_on date,
                sent_at timestamptz NOT NULL,
                times_sent integer NOT NULL DEFAULT 1,
                opened_at timestamptz,
                acknowledged_at timestamptz,
                PRIMARY KEY (notice_id, person_id)
            );
            CREATE INDEX change_notice_copies_waiting ON change_notice_copies (person_id) WHERE acknowledge AND acknowledged_at IS NULL;
            COMMENT ON COLUMN change_notice_copies.lists IS 'names of the distribution lists by which it was sent; none: by hand';
            CREATE FUNCTION keep_change_notice() RETURNS trigger LANGUAGE plpgsql AS \$\$
            BEGIN
                RAISE EXCEPTION 'A change notice that was issued stays as it is.';
            END \$\$;
            CREATE TRIGGER keep_change_notice BEFORE UPDATE OR DELETE ON change_notices
                FOR EACH ROW EXECUTE FUNCTION keep_change_notice();
        ");
    }
};
