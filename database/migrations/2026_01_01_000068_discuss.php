<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What people say on reports, requests, orders and items; what is decided there is pinned. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE comments (
                id bigserial PRIMARY KEY,
                subject varchar(80) NOT NULL,
                person_id bigint NOT NULL REFERENCES people (id),
                text text NOT NULL,
                made_at timestamptz NOT NULL,
                pinned_by bigint REFERENCES people (id),
                pinned_at timestamptz,
                CHECK ((pinned_by IS NULL) = (pinned_at IS NULL))
            );
            CREATE INDEX comments_subject ON comments (subject, id);
            COMMENT ON COLUMN comments.subject IS 'number of the report, request, order or item';
        ");
    }
};
