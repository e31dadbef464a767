<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Files that come with what somebody says, and lines of an order that it is said of. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared("
            CREATE TABLE said_files (
                id uuid PRIMARY KEY,
                comment_id bigint REFERENCES comments (id),
                task_comment_id bigint REFERENCES task_comments (id),
                name varchar(200) NOT NULL,
                media_type varchar(80) NOT NULL,
                bytes integer NOT NULL,
                sha256 char(64) NOT NULL,
                file_id uuid NOT NULL REFERENCES stored_files (id),
                CHECK (num_nonnulls(comment_id, task_comment_id) = 1)
            );
            CREATE INDEX said_files_comment ON said_files (comment_id);
            CREATE INDEX said_files_task_comment ON said_files (task_comment_id);
            ALTER TABLE comments
                ADD COLUMN item varchar(40) NOT NULL DEFAULT '',
                ADD COLUMN work varchar(60) NOT NULL DEFAULT '',
                ADD COLUMN part varchar(80) NOT NULL DEFAULT '',
                ADD COLUMN called varchar(200) NOT NULL DEFAULT '';
            COMMENT ON COLUMN comments.part IS 'key of the line of the order that it is said of; empty: of the whole';
            COMMENT ON COLUMN comments.called IS 'the line as people called it then: line 40 200-0131';
        ");
    }
};
