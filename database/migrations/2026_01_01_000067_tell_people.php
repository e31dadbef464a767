<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who is told of what happens to a change, in the product and by mail; who watches one; how soon each wants to know. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE notices (
                id bigserial PRIMARY KEY,
                act varchar(60) NOT NULL,
                change varchar(80) NOT NULL,
                path text NOT NULL,
                title text NOT NULL,
                about text NOT NULL DEFAULT '',
                actor varchar(60) NOT NULL,
                happened_at timestamptz NOT NULL
            );
            CREATE INDEX notices_change ON notices (change, id);
            COMMENT ON COLUMN notices.change IS 'number of the report, request, order or item';
            COMMENT ON COLUMN notices.path IS 'of the page on which it is seen';
            COMMENT ON COLUMN notices.about IS 'what was said, or which task';
            CREATE TABLE notice_readers (
                notice_id bigint NOT NULL REFERENCES notices (id) ON DELETE CASCADE,
                person_id bigint NOT NULL REFERENCES people (id),
                cause varchar(20) NOT NULL,
                told_at timestamptz NOT NULL,
                read_at timestamptz,
                mail_due_at timestamptz,
                mailed_at timestamptz,
                PRIMARY KEY (notice_id, person_id)
            );
            CREATE INDEX notice_readers_person ON notice_readers (person_id, told_at, notice_id);
            CREATE INDEX notice_readers_unread ON notice_readers (person_id) WHERE read_at IS NULL;
            CREATE INDEX notice_readers_due ON notice_readers (mail_due_at) WHERE mailed_at IS NULL AND mail_due_at IS NOT NULL;
            COMMENT ON COLUMN notice_readers.mail_due_at IS 'null: no mail';
            CREATE TABLE watches (
                person_id bigint NOT NULL REFERENCES people (id),
                change varchar(80) NOT NULL,
                PRIMARY KEY (person_id, change)
            );
            CREATE INDEX watches_change ON watches (change);
            CREATE TABLE notice_paces (
                person_id bigint NOT NULL REFERENCES people (id),
                cause varchar(20) NOT NULL,
                pace varchar(20) NOT NULL,
                PRIMARY KEY (person_id, cause)
            );
            CREATE TABLE calendar_keys (
                person_id bigint PRIMARY KEY REFERENCES people (id),
                key_hash char(64) NOT NULL UNIQUE,
                made_at timestamptz NOT NULL
            );
            COMMENT ON TABLE calendar_keys IS 'private addresses of calendars: whoever knows one reads the days of this person';
            COMMENT ON TABLE notice_paces IS 'how soon a person wants a mail, where it is not as usual';
        ");
    }
};
